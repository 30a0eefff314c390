/**
 * Two lists of things with an id that both began as a third: what either added, changed or took out holds; what both changed stays
 * as it is in mine.
 */
export function listsTogether<T extends { id: string }>(
  base: readonly T[],
  mine: readonly T[],
  theirs: readonly T[],
): T[] {
  const same = (a: T | undefined, b: T | undefined) => JSON.stringify(a) === JSON.stringify(b)
  const of = (list: readonly T[], id: string) => list.find((one) => one.id === id)
  const kept = mine.flatMap((own) => {
    const [was, other] = [of(base, own.id), of(theirs, own.id)]
    if (!was) return [own]
    if (!other) return same(was, own) ? [] : [own]
    return [same(was, own) ? other : own]
  })
  const added = theirs.filter(({ id }) => !of(base, id) && !of(mine, id))
  return [...kept, ...added]
}
