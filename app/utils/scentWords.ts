import type { KnownScent, Scent } from '#contracts/scent'
import type { CapUse, ScentKind } from '#contracts/trialWords'

/** Words of scents that screens share. */
export const scentKindNames: Record<ScentKind, string> = {
  fragrance: 'fragrance',
  essentialOil: 'essential oil',
  blend: 'blend',
}
export const capUseNames: Record<CapUse, string> = {
  wash: 'Hands, body',
  hair: 'Hair',
  shaving: 'Shaving',
  face: 'Face',
  baby: 'Baby',
  household: 'Dishes, laundry',
}

/** One thing a supplier said of a scent, and whether it held here; null as long as that cannot be told. */
export interface Claim {
  claim: 'pace' | 'colour' | 'keeps'
  says: string
  held: boolean | null
}

/** What a supplier said of a scent, each with whether it held. */
export function claimsOf(scent: Scent, known: KnownScent | null): Claim[] {
  const { pace, colour, keeps } = scent.claims
  const said: [Claim['claim'], string][] = [
    ...(pace ? [['pace', pace] as [Claim['claim'], string]] : []),
    ...(colour
      ? [
          ['colour', colour === 'pale' ? 'stays pale' : 'browns in time'] as [
            Claim['claim'],
            string,
          ],
        ]
      : []),
    ...(keeps === null ? [] : [['keeps', keeps ? 'keeps' : 'fades'] as [Claim['claim'], string]]),
  ]
  return said.map(([claim, says]) => ({
    claim,
    says,
    held: known?.judged.find((one) => one.claim === claim)?.held ?? null,
  }))
}
