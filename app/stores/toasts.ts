import { defineStore } from 'pinia'

export interface Toast {
  id: string
  says: string
  undo?: () => void | Promise<void>
  /** What the way back is called, where it is not "Undo". */
  undoSays?: string
  /** Stays until it is closed. */
  stays?: boolean
  bad?: boolean
}

/** Short messages at the bottom of the screen, with the way back where there is one. */
export const useToasts = defineStore('toasts', () => {
  const list = ref<Toast[]>([])

  function close(id: string) {
    list.value = list.value.filter((toast) => toast.id !== id)
  }

  const timers = new Map<string, ReturnType<typeof setTimeout>>()
  /** Closes a message in eight seconds. */
  function letGo({ id, stays }: Toast) {
    if (!stays)
      timers.set(
        id,
        setTimeout(() => close(id), 8000),
      )
  }
  /** Somebody reads it or has it under the finger: it waits. */
  const hold = ({ id }: Toast) => clearTimeout(timers.get(id))

  /** Shows a message for eight seconds, or until it is closed; it waits while it is held. */
  function show(says: string, options: Omit<Toast, 'id' | 'says'> = {}) {
    const toast = { id: newId(), says, ...options }
    list.value = [...list.value.slice(-2), toast]
    letGo(toast)
  }

  async function undo(toast: Toast) {
    close(toast.id)
    try {
      await toast.undo?.()
    } catch (error) {
      show(sentenceOf(error), { bad: true })
    }
  }

  return { list, show, hold, letGo, close, undo }
})
