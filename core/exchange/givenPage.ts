/** What a page to give away says under one head. */
export interface GivenPart {
  title: string
  lines: readonly string[]
}

const escaped = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')

const look = `
body { font: 16px/1.45 system-ui, sans-serif; color: #182022; max-width: 44rem; margin: 2rem auto; padding: 0 1rem }
h1 { font-size: 1.7rem; margin: 0 } h2 { font-size: .95rem; color: #4c595b; margin: 1.4rem 0 .2rem }
ul { margin: 0; padding: 0; list-style: none } li { border-bottom: 1px solid #d5dbd8; padding: .2rem 0 }
p { color: #4c595b } .code { width: 11rem } .warn { border-left: 4px solid #b3261e; padding-left: .8rem }
@media print { body { margin: 0 } }
`

/**
 * A formula or a batch as one file that any browser shows, with nothing in it that runs and nothing that is fetched; the formula lies in
 * it in the open format too.
 * @param formula as JSON of the open format
 * @param code a picture as SVG of what a phone reads the formula from; empty where it does not fit into one
 * @example givenPage({ title: 'A & B', over: '', parts: [], formula: '{}', code: '' }).includes('<h1>A &amp; B</h1>') // true
 */
export function givenPage({
  title,
  over,
  parts,
  formula,
  code,
}: {
  title: string
  over: string
  parts: readonly GivenPart[]
  formula: string
  code: string
}): string {
  const sections = parts
    .filter(({ lines }) => lines.some(Boolean))
    .map(
      (part) =>
        `<h2>${escaped(part.title)}</h2>\n<ul>${part.lines
          .filter(Boolean)
          .map((line) => `<li>${escaped(line)}</li>`)
          .join('')}</ul>`,
    )
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
<title>${escaped(title)}</title><style>${look}</style></head><body>
<h1>${escaped(title)}</h1>
<p>${escaped(over)}</p>
<p class="warn">Lye burns. Goggles, gloves, lye into water and never water onto lye, no aluminium. Reckon the lye again for the fats you have before you make it.</p>
${sections.join('\n')}
${code ? `<h2>To be read by a phone: the formula itself</h2>\n<div class="code">${code}</div>` : ''}
<script type="application/json" id="mantle-formula">${formula.replaceAll('<', '\\u003c')}</script>
</body></html>
`
}

/**
 * The formula that lies in such a page, as JSON; null where there is none.
 * @example formulaInPage(givenPage({ title: 'A', over: '', parts: [], formula: '{"a":1}', code: '' })) // '{"a":1}'
 */
export const formulaInPage = (html: string): string | null =>
  /<script type="application\/json" id="mantle-formula">([\s\S]*?)<\/script>/.exec(html)?.[1] ??
  null

/** Bytes that a square code holds and a phone still reads: what the largest one takes, less a little. */
export const mostInCode = 2900
