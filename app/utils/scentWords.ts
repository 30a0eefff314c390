import type { ScentLine } from '#contracts/formula'
import type { KnownScent, Scent } from '#contracts/scent'
import type { CapUse, ScentKind } from '#contracts/trialWords'
import type { Formatter } from '#core/units/formatter'
import type { Library } from '#core/materials/library'

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

/** Scents that a typed line may mean: those with a record first, then those that formulas only name. */
export function scentNames(
  named: readonly ScentLine[],
  { scents = new Map() }: Pick<Library, 'scents'>,
): Pick<ScentLine, 'id' | 'name' | 'maxOfBar'>[] {
  const records = [...scents.values()].map(({ id, name }) => ({ id, name }))
  const others = named.filter(({ id }) => !scents.has(id))
  return [...records, ...new Map(others.map((scent) => [scent.id, scent])).values()]
}

/** The allergens of a sheet as they are written: Linalool 1.2 %, Citronellol. */
export const allergensText = (allergens: Scent['allergens'], say: Formatter): string =>
  say.list(
    allergens.map(({ name, share }) =>
      share === null ? name : `${name} ${say.number(share * 100, 0, 3)} %`,
    ),
  )

/** Reads them again; a name without a share is one that the sheet only names. */
export const readAllergens = (text: string): Scent['allergens'] =>
  text
    .split(/[,;\n](?!\d)/)
    .map((word) => word.trim())
    .filter(Boolean)
    .map((word) => {
      const [, name, figure] = /^(.*?)\s*[:=]?\s*(\d+(?:[.,]\d+)?)\s*%$/.exec(word) ?? []
      return name && figure
        ? { name, share: Number(figure.replace(',', '.')) / 100 }
        : { name: word, share: null }
    })
