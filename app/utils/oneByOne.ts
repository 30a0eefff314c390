/** Runs what it is given one after the other, each when the one before it is over, however that ended. */
export function oneByOne() {
  let last: Promise<unknown> = Promise.resolve()
  return <T>(act: () => Promise<T>): Promise<T> => {
    const next = last.then(act, act)
    last = next.catch(() => undefined)
    return next
  }
}
