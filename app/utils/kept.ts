/*
 * What this browser keeps for itself. Storage may be switched off or full: then nothing is kept, nothing breaks, and who has to
 * know is told. What is read is judged before it is used: another Mantle, or somebody's hand, may have written it.
 */

const storage = (): Storage | null => {
  try {
    return window.localStorage
  } catch {
    return null
  }
}

/** Keeps a value under a key. False when it could not. */
export function keepHere(key: string, value: unknown): boolean {
  try {
    const at = storage()
    at?.setItem(key, JSON.stringify(value))
    return at !== null
  } catch {
    return false
  }
}

/** What is kept under a key, as `judge` takes it; null when there is nothing, or nothing of use. */
export function keptHere<T>(key: string, judge: (value: unknown) => T | null): T | null {
  try {
    const text = storage()?.getItem(key)
    return text ? judge(JSON.parse(text) as unknown) : null
  } catch {
    return null
  }
}

export function forgetHere(key: string): void {
  try {
    storage()?.removeItem(key)
  } catch {
    // nothing was kept
  }
}

/** Characters that a browser keeps for a site, about, and from which share on there is hardly any room left. */
const room = { characters: 5_000_000, nearlyAt: 0.85 } as const
/** Whether what is kept comes near to what this browser takes. */
export function storageIsNearlyFull(): boolean {
  try {
    const at = storage()
    if (!at) return false
    const used = Object.keys(at).reduce((sum, key) => sum + key.length + at.getItem(key)!.length, 0)
    return used > room.characters * room.nearlyAt
  } catch {
    return false
  }
}

/** Keys that begin so. */
export function keysHere(begin: string): string[] {
  try {
    const at = storage()
    return at ? Object.keys(at).filter((key) => key.startsWith(begin)) : []
  } catch {
    return []
  }
}

/** A judge for what a zod schema takes. */
export const bySchema =
  <T>(schema: { safeParse(value: unknown): { success: boolean; data?: T } }) =>
  (value: unknown): T | null => {
    const parsed = schema.safeParse(value)
    return parsed.success ? (parsed.data as T) : null
  }

/** A value that this browser remembers; without storage it lasts as long as the page. */
export function useKept<T>(key: string, usual: T, judge: (value: unknown) => T | null): Ref<T> {
  const value = ref(keptHere(key, judge) ?? usual) as Ref<T>
  watch(value, (now) => keepHere(key, now), { deep: true })
  return value
}
