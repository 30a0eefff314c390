/** Changes of the same thing within this time are one step of undo, ms. */
const together = 900
const deepest = 300

/**
 * A value with undo and redo. Values are never changed in place, so a step is a reference, not a copy.
 */
export function useHistory<T>(first: T) {
  const present = shallowRef(first)
  const past = shallowRef<T[]>([])
  const future = shallowRef<T[]>([])
  let lastTag = ''
  let lastTime = 0

  /** Sets the value. Quick changes with the same tag (typing in one field) become one step. */
  function set(value: T, tag = '') {
    const time = performance.now()
    const merge = tag !== '' && tag === lastTag && time - lastTime < together
    if (!merge) past.value = [...past.value.slice(-deepest), present.value]
    future.value = []
    present.value = value
    lastTag = tag
    lastTime = time
  }

  function undo() {
    const back = past.value.at(-1)
    if (back === undefined) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, present.value]
    present.value = back
    lastTag = ''
  }

  function redo() {
    const next = future.value.at(-1)
    if (next === undefined) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, present.value]
    present.value = next
    lastTag = ''
  }

  /** Starts over from a value, with nothing to undo. */
  function reset(value: T) {
    past.value = []
    future.value = []
    present.value = value
    lastTag = ''
  }

  return {
    present,
    set,
    undo,
    redo,
    reset,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
  }
}
