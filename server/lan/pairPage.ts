/** The pairing page: a form and nothing else, since an unpaired device gets nothing else. */
export const pairPage = (code: string, problem: string): string => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Pair with Mantle</title>
    <style>
      body { font: 18px/1.4 system-ui, sans-serif; background: #eef1ee; color: #182022; margin: 0; }
      main { max-width: 26rem; margin: 12vh auto 0; padding: 0 1rem; }
      label { display: block; margin: 1rem 0 0.25rem; font-weight: 600; }
      input { font: inherit; width: 100%; box-sizing: border-box; padding: 0.6rem; border: 1px solid #8a9794; border-radius: 4px; }
      button { font: inherit; font-weight: 700; margin-top: 1.25rem; padding: 0.8rem 1.4rem; border: 0; background: #0f4f5c; color: #fff; }
      p[role='alert'] { color: #b3261e; font-weight: 600; }
    </style>
  </head>
  <body>
    <main>
      <h1>Pair with Mantle</h1>
      <p>The computer shows a code of six digits. It counts once.</p>
      ${problem ? `<p role="alert">${problem}</p>` : ''}
      <form method="post" action="/pair">
        <label for="code">Code</label>
        <input id="code" name="code" inputmode="numeric" autocomplete="off" required value="${code}" />
        <label for="name">What this device is called</label>
        <input id="name" name="name" maxlength="60" placeholder="Bench tablet" />
        <button>Pair</button>
      </form>
    </main>
  </body>
</html>`
