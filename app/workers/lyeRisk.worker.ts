import { expose } from 'comlink'
import { drawSuperfats, joinDraws } from '#core/risk/draws'
import { lyeRisk, type LyeRisk } from '#core/risk/lyeRisk'
import type { Uncertainty } from '#core/risk/uncertainty'

/** Draws are made in lots; between two of them the worker listens whether it is still wanted. */
const lot = 20_000
let newest = 0

export interface RiskJob {
  spread: Uncertainty
  planned: number
  risk: number
  draws: number
  seed: number
}

const api = {
  /** The lye risk of a job, or null when a newer one came or it was called off. */
  async run(job: RiskJob): Promise<LyeRisk | null> {
    const own = ++newest
    const lots = []
    for (let done = 0; done < job.draws; done += lot) {
      if (own !== newest) return null
      lots.push(drawSuperfats(job.spread, Math.min(lot, job.draws - done), job.seed + done))
      await new Promise((next) => setTimeout(next))
    }
    return own === newest ? lyeRisk(joinDraws(lots), job.spread, job.planned, job.risk) : null
  },
  cancel() {
    newest++
  },
}
export type LyeRiskWorker = typeof api
expose(api)
