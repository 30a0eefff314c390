import { isDone } from '#core/bench/run/run'
import type { Bench } from './useBench'

/** The pots of a run as they go into the mould: which are in, which one is on, and when the layer below carries the next. */
export function useLayers(bench: Bench) {
  const { plan, state, step, done } = bench
  const pot = computed(() => step.value?.pot ?? null)
  /** Minutes until the layer of a pot carries another: it sets as its batter would thicken. */
  const setsIn = (of: number) => {
    const since = bench.sinceCombined(of)
    return since === null ? 0 : Math.max(0, bench.usualOf(of).minutes.thick - since)
  }
  const rows = computed(() =>
    plan.value.pots.map((one, index) => {
      const poured =
        state.value.poured.some((at) => at.pot === index) ||
        plan.value.steps.some(
          ({ id, kind, pot }) => kind === 'pour' && pot === undefined && isDone(state.value, id),
        )
      return {
        ...one,
        index,
        poured,
        on: !poured && (pot.value === null || pot.value === index),
        since: bench.sinceCombined(index),
        setsIn: poured ? setsIn(index) : 0,
        stage: state.value.marks.findLast(
          (mark) => mark.pot === (plan.value.pots.length > 1 ? index : 0),
        )?.stage,
      }
    }),
  )
  /** The layer that the one on screen is poured onto, where pots are poured one onto another. */
  const below = computed(() => {
    const own = plan.value.steps.some(({ kind, pot }) => kind === 'pour' && pot !== undefined)
    return own && pot.value ? pot.value - 1 : null
  })
  const carriesIn = computed(() =>
    done.value || below.value === null ? 0 : (rows.value[below.value]?.setsIn ?? 0),
  )
  /** The pot after the one on screen. */
  const then = computed(() =>
    pot.value === null ? null : (rows.value.find(({ index }) => index === pot.value! + 1) ?? null),
  )
  return { pot, rows, below, carriesIn, then }
}
