import type { Effect, KnownScent, Scent, TriedPot } from '#contracts/scent'
import type { ColourOn, Reading } from '#contracts/trial'
import type { CapUse } from '#contracts/trialWords'
import { sum, sumOf } from '../statistics/sum'
import { capOfBlend } from './caps'
import { judgedClaims } from './claims'
import { effectFrom, effectOf, sameWater } from './effect'
import { strengthByDay } from './noses'

/** The water that most pots were tried at, and those tried at it. */
function usualWater(readings: readonly Reading[]): readonly Reading[] {
  const near = (ratio: number) => readings.filter((one) => Math.abs(one.ratio - ratio) <= sameWater)
  return readings
    .map(({ ratio }) => near(ratio))
    .reduce((most, one) => (one.length > most.length ? one : most), [])
}

/** Shares of a blend's parts, those that are known. */
function partsOf(scent: Scent, known: ReadonlyMap<string, KnownScent>) {
  const all = sumOf(scent.parts, ({ parts }) => parts)
  return scent.parts.flatMap(({ scentId, parts }) => {
    const part = known.get(scentId)
    return part && all > 0 ? [{ part, share: parts / all }] : []
  })
}

function blendMaxima(parts: ReturnType<typeof partsOf>): KnownScent['maxima'] {
  const uses = new Set(parts.flatMap(({ part }) => Object.keys(part.maxima) as CapUse[]))
  return Object.fromEntries(
    [...uses].flatMap((use) => {
      const cap = capOfBlend(
        parts.map(({ part, share }) => ({ share, cap: part.maxima[use] ?? null })),
      )
      return cap ? [[use, Math.min(1, cap.cap)]] : []
    }),
  )
}

/** A blend moves a batter by what each part does, by its share: their logarithms add up. */
function blendEffect(parts: ReturnType<typeof partsOf>): Effect | null {
  if (!parts.length || Math.abs(sum(parts.map(({ share }) => share)) - 1) > 1e-9) return null
  const b = sumOf(parts, ({ part, share }) => share * part.effect.b)
  const sd = Math.sqrt(sumOf(parts, ({ part, share }) => (share * part.effect.sd) ** 2))
  const tried = parts.every(({ part }) => part.effect.rests === 'own')
  return { ...effectFrom(b, sd, 0), rests: tried ? 'own' : 'word' }
}

/**
 * What is known of every scent of the workshop, by id. Blends come after what they are mixed from.
 * @param tried every pot of every trial day
 * @example knownScents([], []).size // 0
 */
export function knownScents(
  scents: readonly { id: string; document: Scent }[],
  tried: readonly TriedPot[],
): Map<string, KnownScent> {
  const pots = new Map<string | null, TriedPot[]>()
  for (const pot of tried) pots.set(pot.scentId, [...(pots.get(pot.scentId) ?? []), pot])
  const known = new Map<string, KnownScent>()
  const blendsLast = [...scents].sort(
    (a, b) => Number(a.document.parts.length > 0) - Number(b.document.parts.length > 0),
  )
  for (const { id, document: scent } of blendsLast) {
    const own = [...(pots.get(id) ?? [])].sort((a, b) => b.day.localeCompare(a.day))
    const readings = own.flatMap(({ reading }) => reading ?? [])
    const parts = partsOf(scent, known)
    const fromParts = scent.parts.length > 0 && !readings.length
    const effect =
      (fromParts ? blendEffect(parts) : null) ?? effectOf(scent.claims.pace, usualWater(readings))
    const strength = strengthByDay(own.flatMap((pot) => pot.strength))
    const colour = latestColours(own)
    const maxima =
      scent.parts.length && !Object.keys(scent.maxima).length ? blendMaxima(parts) : scent.maxima
    known.set(id, {
      id,
      name: scent.name,
      supplierId: scent.supplierId,
      scent,
      tried: own.map(({ day, rate, ratio, stages, seized, riced, loosened }) => ({
        day,
        rate,
        ratio,
        medium: stages.medium?.minutes ?? null,
        stiff: seized ?? stages['too-far']?.minutes ?? null,
        riced,
        loosened,
      })),
      readings,
      effect,
      strength,
      colour,
      riced: own.filter(({ riced }) => riced).length,
      seized: own.filter(({ seized }) => seized !== null).length,
      judged: judgedClaims(scent.claims, { effect, colour, strength }),
      maxima,
      fromParts,
    })
  }
  return known
}

/** Of each day the pot that was looked at last. */
function latestColours(pots: readonly TriedPot[]): KnownScent['colour'] {
  const byDay = new Map<number, ColourOn>()
  for (const pot of [...pots].reverse()) for (const one of pot.colour) byDay.set(one.day, one)
  return [...byDay.values()].sort((a, b) => a.day - b.day)
}
