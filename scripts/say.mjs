/** Prints one step of a longer piece of work. */
export function say(text) {
  console.log(`\n▸ ${text}`)
}

/** Ends with a plain sentence and exit code 1. */
export function giveUp(text) {
  console.error(`\n✕ ${text}\n`)
  process.exit(1)
}

export const seconds = (since) => `${((performance.now() - since) / 1000).toFixed(1)} s`
