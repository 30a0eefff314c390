/**
 * Ids of what waits to be told, by what it is about: the same until it was taken, so that a second press after a lost answer tells
 * nothing twice.
 */
export function stableIds() {
  const ids = new Map<string, string>()
  return {
    of(about: string): string {
      const id = ids.get(about) ?? newId()
      ids.set(about, id)
      return id
    },
    forget: (about: string) => void ids.delete(about),
    clear: () => ids.clear(),
  }
}
