/*
 * Fragrance allergens that are named on a label where a bar holds more than a threshold of them. Two lists are about: the first of 2003,
 * and the longer one of 2023, which counts for what is new from 31 July 2026 and for what was there before from 31 July 2028.
 */

/** A list of allergens: from which day it counts where it counts, and what it rests on. */
export interface AllergenList {
  id: 'none' | 'short' | 'long'
  says: string
  from: string
  source: string
  names: readonly string[]
}

const short = [
  'Alpha-Isomethyl Ionone',
  'Amyl Cinnamal',
  'Amylcinnamyl Alcohol',
  'Anise Alcohol',
  'Benzyl Alcohol',
  'Benzyl Benzoate',
  'Benzyl Cinnamate',
  'Benzyl Salicylate',
  'Cinnamal',
  'Cinnamyl Alcohol',
  'Citral',
  'Citronellol',
  'Coumarin',
  'Eugenol',
  'Evernia Furfuracea Extract',
  'Evernia Prunastri Extract',
  'Farnesol',
  'Geraniol',
  'Hexyl Cinnamal',
  'Hydroxycitronellal',
  'Isoeugenol',
  'Limonene',
  'Linalool',
  'Methyl 2-Octynoate',
] as const

const more = [
  '3-Propylidenephthalide',
  'Acetyl Cedrene',
  'Amyl Salicylate',
  'Anethole',
  'Benzaldehyde',
  'Beta-Caryophyllene',
  'Camphor',
  'Cananga Odorata Oil',
  'Carvone',
  'Cedrus Atlantica Oil',
  'Cinnamomum Cassia Leaf Oil',
  'Cinnamomum Zeylanicum Bark Oil',
  'Citrus Aurantium Flower Oil',
  'Citrus Aurantium Peel Oil',
  'Citrus Bergamia Peel Oil',
  'Citrus Limon Peel Oil',
  'Citrus Sinensis Peel Oil',
  'Cymbopogon Schoenanthus Oil',
  'Dimethyl Phenethyl Acetate',
  'Eucalyptus Globulus Oil',
  'Eugenia Caryophyllus Oil',
  'Eugenyl Acetate',
  'Geranyl Acetate',
  'Hexadecanolactone',
  'Hexamethylindanopyran',
  'Isoeugenyl Acetate',
  'Jasminum Grandiflorum Flower Extract',
  'Juniperus Virginiana Oil',
  'Laurus Nobilis Leaf Oil',
  'Lavandula Oil',
  'Linalyl Acetate',
  'Lippia Citriodora Absolute',
  'Mentha Piperita Oil',
  'Mentha Viridis Leaf Oil',
  'Menthol',
  'Methyl Salicylate',
  'Myroxylon Pereirae Oil',
  'Narcissus Extract',
  'Pelargonium Graveolens Flower Oil',
  'Pinene',
  'Pinus Mugo',
  'Pinus Pumila',
  'Pogostemon Cablin Oil',
  'Rose Flower Oil',
  'Rose Ketones',
  'Salicylaldehyde',
  'Santalol',
  'Santalum Album Oil',
  'Sclareol',
  'Terpineol',
  'Terpinolene',
  'Tetramethyl Acetyloctahydronaphthalenes',
  'Trimethylbenzenepropanol',
  'Trimethylcyclopentenyl Methylisopentenol',
  'Turpentine',
  'Vanillin',
] as const

const longFrom = '2026-07-31'

/** The lists, as far as they are known here: the law where it is sold is what counts. */
export const allergenLists: readonly AllergenList[] = [
  { id: 'none', says: 'none named', from: '', source: '', names: [] },
  {
    id: 'short',
    says: 'the list of 2003',
    from: '2005-03-11',
    source: 'Directive 2003/15/EC, since taken into Regulation (EC) 1223/2009, annex III',
    names: short,
  },
  {
    id: 'long',
    says: 'the list of 2023',
    from: longFrom,
    source: 'Regulation (EU) 2023/1545',
    names: [...short, ...more].sort((a, b) => a.localeCompare(b)),
  },
]

/** Share of what is rinsed off above which an allergen is named. */
export const namedFrom = 0.0001

/** What a scent's sheet says of one allergen in it: a share of the scent, null where it only names it. */
export interface AllergenIn {
  name: string
  share: number | null
}

/** An allergen of a bar: its share of the bar, null where no sheet says how much, and whether a label names it. */
export interface AllergenFound {
  name: string
  share: number | null
  named: boolean
}

/**
 * The allergens of a bar by the sheets of its scents, those that are named first, the most first. One of which no sheet says how much
 * is there is named: it may be.
 * @param scents g of each in the batch, and what its sheet says
 * @param bar g of all bars when long dried
 * @example allergensOf([{ grams: 30, allergens: [{ name: 'Limonene', share: 0.02 }] }], 1200, ['Limonene'])[0]
 *   // { name: 'Limonene', share: 0.0005, named: true }
 */
export function allergensOf(
  scents: readonly { grams: number; allergens: readonly AllergenIn[] }[],
  bar: number,
  list: readonly string[],
): AllergenFound[] {
  const listed = new Map(list.map((name) => [name.toLowerCase(), name]))
  const found = new Map<string, number | null>()
  for (const { grams, allergens } of scents)
    for (const { name, share } of grams > 0 ? allergens : []) {
      const called = listed.get(name.trim().toLowerCase())
      if (!called) continue
      const before = found.get(called)
      const adds = share === null || before === null || !(bar > 0) ? null : (share * grams) / bar
      found.set(called, adds === null ? null : (before ?? 0) + adds)
    }
  const most = ({ share }: AllergenFound) => share ?? Infinity
  return [...found]
    .map(([name, share]) => ({ name, share, named: share === null || share > namedFrom }))
    .sort(
      (a, b) =>
        Number(b.named) - Number(a.named) || most(b) - most(a) || a.name.localeCompare(b.name),
    )
}
