import type { BatchSummary } from '#contracts/batch'
import { whyNotOut } from '#core/events/out'
import { standingOf } from '#core/rack/standing'

/** A soap that there are bars of: ready ones, and those that still cure. */
export interface ShelfSoap {
  formulaId: string
  name: string
  /** Its batches with bars that may leave, the oldest first. */
  batches: BatchSummary[]
  ready: number
  /** Bars that still cure, and when the first of them are ready. */
  coming: number
  readyOn: string | null
}

const left = ({ facts }: BatchSummary) => Math.max(0, facts.bars - facts.out)

/** Soaps by their formula, as there are bars of them today. */
export function useShelfSoaps() {
  const batches = useBatches()
  const { today } = storeToRefs(useWorkshop())
  const soaps = computed((): ShelfSoap[] => {
    const byFormula = new Map<string, ShelfSoap>()
    for (const batch of [...batches.list].sort((a, b) => a.number - b.number)) {
      const { stage, readyOn } = standingOf(batch, today.value)
      if (!batch.facts.pouredOn || stage === 'left' || left(batch) === 0) continue
      const soap = byFormula.get(batch.formulaId) ?? {
        formulaId: batch.formulaId,
        name: batch.name,
        batches: [],
        ready: 0,
        coming: 0,
        readyOn: null,
      }
      soap.name = batch.name
      if (stage === 'ready' && !whyNotOut(batch.facts, 1, 'sold')) {
        soap.batches.push(batch)
        soap.ready += left(batch)
      } else if (stage !== 'ready') {
        soap.coming += left(batch)
        if (readyOn && (!soap.readyOn || readyOn < soap.readyOn)) soap.readyOn = readyOn
      }
      byFormula.set(batch.formulaId, soap)
    }
    return [...byFormula.values()].sort((a, b) => a.name.localeCompare(b.name))
  })
  return { soaps, load: batches.load }
}
