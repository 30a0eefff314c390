import { useTimeoutFn } from '@vueuse/core'

/** How many tasks have passed since a component began, up to `most`: what is long is drawn in so many pieces. */
export function useTurns(most: number) {
  const turn = ref(0)
  const { start } = useTimeoutFn(() => {
    if (++turn.value < most) start()
  }, 0)
  return turn
}
