import type { FormulaDocument } from '#contracts/formula'
import type { Trait } from '#contracts/words'

/*
 * What makers know of bars, put down before any coefficient was set by it: which of two does more of something. Fats alone at 5 %
 * superfat and 2.2 : 1, blends as they are made. The traits have to come out in these orders (docs/science.md prints them).
 */

/** Bars of one fat, from the most of a trait to the least. `least`: points between one and the next. */
export interface FatOrder {
  trait: Trait
  why: string
  fats: string[]
  least: number
}

const order = (trait: Trait, why: string, fats: string, least = 0): FatOrder => ({
  trait,
  why,
  fats: fats.split(' > '),
  least,
})

export const fatOrders: FatOrder[] = [
  order(
    'firmAtCut',
    'hard fats set a loaf, liquid oils leave it soft',
    'stearic-acid > palm-stearin > tallow > palm > lard > goose-fat > rapeseed > hemp',
    1,
  ),
  order(
    'firmAtCut',
    'lauric bars are hard within hours',
    'palm-kernel-stearin > coconut > butterfat > olive',
    4,
  ),
  order(
    'firmAtCut',
    'the harder the butter, the firmer the loaf',
    'soy-wax > kokum > mango-butter > shea-olein > avocado',
    2,
  ),
  order(
    'firmAtCut',
    'animal fats by their stearic acid',
    'deer-tallow > tallow > horse-fat > chicken-fat',
    2,
  ),
  order('firmAtCut', 'waxes set harder than any butter', 'candelilla > cocoa-butter > lanolin', 4),
  order(
    'firmAtCut',
    'nut oils are softer than nut butters',
    'illipe > shea > macadamia > walnut',
    2,
  ),
  order(
    'wearLife',
    'stearic and palmitic soap dissolve slowly',
    'stearic-acid > palm-stearin > cocoa-butter > tallow > lard > rice-bran > olive',
    1,
  ),
  order('wearLife', 'short acids dissolve at once', 'palm > coconut > coconut-fractionated', 8),
  order('wearLife', 'butters outlast their oils', 'shea > shea-olein > sunflower-high-oleic', 4),
  order('wearLife', 'beeswax holds a bar together', 'beeswax > lard > castor', 8),
  order(
    'quickFoam',
    'short acids foam at once, long ones do not',
    'coconut > butterfat > lard > olive > stearic-acid',
    1,
  ),
  order('quickFoam', 'castor alone hardly foams', 'lard > castor', 1),
  order(
    'quickFoam',
    'the more lauric and myristic, the quicker',
    'babassu > macauba-kernel > laurel-berry > olive',
    5,
  ),
  order('quickFoam', 'kernel fats foam, flesh fats do not', 'palm-kernel > palm > kokum', 2),
  order('quickFoam', 'other lauric and myristic fats foam as they do', 'tucuma > avocado', 20),
  order('quickFoam', 'other lauric and myristic fats foam as they do', 'cohune > sweet-almond', 20),
  order('quickFoam', 'other lauric and myristic fats foam as they do', 'murumuru > marula', 20),
  order('quickFoam', 'what does not dissolve does not foam', 'olive > stearic-acid-95', 4),
  order('quickFoam', 'what does not dissolve does not foam', 'palm > soy-wax', 4),
  order(
    'lastingFoam',
    'palmitic and stearic soap carry a cream',
    'tallow > coconut > coconut-fractionated',
    4,
  ),
  order('lastingFoam', 'liquid oils foam thinly', 'palm > olive > grapeseed', 2),
  order('lastingFoam', 'stearic alone foams least', 'hemp > stearic-acid', 4),
  order('lastingFoam', 'what does not dissolve does not foam', 'lard > kokum', 4),
  order('lastingFoam', 'rosin carries a lather', 'rosin > olive', 10),
  order(
    'gentleness',
    'oleic soap is mild, lauric soap is not',
    'olive > lard > butterfat > coconut',
    2,
  ),
  order('gentleness', 'short acids strip most', 'avocado > palm > coconut-fractionated', 5),
  order('gentleness', 'myristic soap strips as lauric soap does', 'olive > ucuuba', 30),
  order(
    'gentleness',
    'myristic soap strips as lauric soap does',
    'camellia-seed > trimyristin',
    30,
  ),
  order('gentleness', 'myristic soap strips as lauric soap does', 'macadamia > myristic-acid', 30),
  order('gentleness', 'linoleic oils are no harsher than tallow', 'hemp > tallow'),
  order('gentleness', 'linoleic oils are no harsher than tallow', 'sunflower > tallow'),
  order('gentleness', 'linoleic oils are no harsher than tallow', 'grapeseed > tallow'),
  order('gentleness', 'linoleic oils are no harsher than tallow', 'soybean > tallow'),
  order('gentleness', 'linoleic oils are no harsher than tallow', 'flax > tallow'),
  order('gentleness', 'linoleic oils are no harsher than tallow', 'rosehip-seed > mutton-tallow'),
  order('gentleness', 'wool fat is kind to skin', 'lanolin > tallow', 4),
  order(
    'greaseLift',
    'short acids lift grease',
    'coconut > palm-kernel > laurel-berry > tallow > camellia-seed',
    1,
  ),
  order(
    'greaseLift',
    'always-liquid coconut strips too',
    'coconut-fractionated > laurel-berry',
    20,
  ),
  order('greaseLift', 'so do ucuuba and myristic acid', 'ucuuba > palm', 40),
  order('greaseLift', 'so do ucuuba and myristic acid', 'myristic-acid > tallow', 40),
  order(
    'keeping',
    'the fewer double bonds, the longer it keeps',
    'coconut > cocoa-butter > tallow > olive > rapeseed > sunflower > hemp > flax',
    1,
  ),
  order(
    'keeping',
    'high-oleic kinds keep',
    'sunflower-high-oleic > sunflower-mid-oleic > sunflower',
    10,
  ),
  order('keeping', 'high-oleic kinds keep', 'soybean-high-oleic > soybean', 20),
  order(
    'keeping',
    'nut oils by their linoleic acid',
    'macadamia > sweet-almond > pecan > walnut',
    1,
  ),
  order(
    'keeping',
    'seed oils by their linoleic acid',
    'marula > baobab > watermelon-seed > poppy-seed-oil > chia',
    1,
  ),
  order('keeping', 'three double bonds are worst', 'borage > camelina > perilla', 1),
]

type Blend = Partial<FormulaDocument> & {
  shares: Record<string, number>
  ratio?: number
  kohShare?: number
}

/** Of two bars the first has more of a trait, or as much. */
export interface BlendOrder {
  trait: Trait
  says: string
  more: Blend
  than: Blend
  least: number
}
const blend = (trait: Trait, says: string, more: Blend, than: Blend, least = 0): BlendOrder => ({
  trait,
  says,
  more,
  than,
  least,
})
const body = { olive: 0.45, coconut: 0.25, palm: 0.25, castor: 0.05 }

export const blendOrders: BlendOrder[] = [
  blend(
    'firmAtCut',
    'beeswax never makes a bar softer',
    { shares: { olive: 0.9, beeswax: 0.1 } },
    { shares: { olive: 1 } },
    3,
  ),
  blend(
    'firmAtCut',
    'nor one that is hard already',
    { shares: { tallow: 0.65, coconut: 0.3, beeswax: 0.05 } },
    { shares: { tallow: 0.7, coconut: 0.3 } },
  ),
  blend(
    'wearLife',
    'beeswax makes a bar last',
    { shares: { olive: 0.9, beeswax: 0.1 } },
    { shares: { olive: 1 } },
    5,
  ),
  blend(
    'quickFoam',
    'beeswax takes foam',
    { shares: { olive: 0.7, coconut: 0.3 } },
    { shares: { olive: 0.6, coconut: 0.3, beeswax: 0.1 } },
    5,
  ),
  blend(
    'wearLife',
    'three per cent of a hard wax show',
    { shares: { olive: 0.67, coconut: 0.3, carnauba: 0.03 } },
    { shares: { olive: 0.7, coconut: 0.3 } },
    2,
  ),
  blend(
    'firmAtCut',
    'rice bran wax hardens',
    { shares: { lard: 0.95, 'rice-bran-wax': 0.05 } },
    { shares: { lard: 1 } },
    1,
  ),
  blend(
    'quickFoam',
    'wool fat takes foam',
    { shares: { olive: 0.7, coconut: 0.3 } },
    { shares: { olive: 0.6, coconut: 0.3, lanolin: 0.1 } },
    3,
  ),
  blend(
    'firmAtCut',
    'rosin softens a tallow bar',
    { shares: { tallow: 1 } },
    { shares: { tallow: 0.8, rosin: 0.2 } },
    3,
  ),
  blend(
    'lastingFoam',
    'and holds its lather',
    { shares: { tallow: 0.8, rosin: 0.2 } },
    { shares: { tallow: 1 } },
    3,
  ),
  blend(
    'firmAtCut',
    'tar softens',
    { shares: { tallow: 0.7, coconut: 0.3 } },
    { shares: { tallow: 0.5, coconut: 0.3, 'pine-tar': 0.2 } },
    5,
  ),
  blend(
    'lastingFoam',
    'castor holds foam up',
    { shares: { olive: 0.95, castor: 0.05 } },
    { shares: { olive: 1 } },
    6,
  ),
  blend(
    'lastingFoam',
    'but not for ever',
    { shares: { olive: 0.85, castor: 0.15 } },
    { shares: { olive: 0.6, castor: 0.4 } },
  ),
  blend(
    'quickFoam',
    'coconut foams quickly, the more of it the quicker',
    { shares: { olive: 0.7, coconut: 0.3 } },
    { shares: { olive: 0.9, coconut: 0.1 } },
    10,
  ),
  blend(
    'gentleness',
    'free fat makes coconut kind',
    { shares: { coconut: 1 }, superfat: 0.2 },
    { shares: { coconut: 1 } },
    10,
  ),
  blend(
    'gentleness',
    'hemp for tallow is no harsher',
    { shares: { coconut: 0.3, tallow: 0.4, hemp: 0.3 } },
    { shares: { coconut: 0.3, tallow: 0.7 } },
  ),
  blend('firmAtCut', 'half potash is paste', { shares: body }, { shares: body, kohShare: 0.5 }, 30),
  blend(
    'wearLife',
    'potash dissolves sooner',
    { shares: body },
    { shares: body, kohShare: 0.1 },
    3,
  ),
  blend(
    'firmAtCut',
    'potash softens shaving soap too',
    { shares: { 'stearic-acid': 0.45, coconut: 0.35, tallow: 0.2 } },
    { shares: { 'stearic-acid': 0.45, coconut: 0.35, tallow: 0.2 }, kohShare: 0.6 },
    30,
  ),
  blend(
    'firmAtCut',
    'olive at low water is rock hard in a day',
    { shares: { olive: 1 }, ratio: 1.3 },
    { shares: { lard: 1 } },
    3,
  ),
  blend(
    'firmAtCut',
    'more water, softer at the cut',
    { shares: body, ratio: 1.8 },
    { shares: body, ratio: 3 },
    5,
  ),
  blend(
    'lastingFoam',
    'stearic carries a shaving lather beside coconut',
    { shares: { coconut: 0.5, 'stearic-acid': 0.3, olive: 0.2 } },
    { shares: { coconut: 0.5, olive: 0.5 } },
    5,
  ),
  blend(
    'quickFoam',
    'soy wax takes foam that palm leaves',
    { shares: { coconut: 0.25, olive: 0.35, palm: 0.4 } },
    { shares: { coconut: 0.25, olive: 0.35, 'soy-wax': 0.4 } },
    1,
  ),
  blend(
    'firmAtCut',
    'a tenth of cocoa butter shows',
    { shares: { olive: 0.65, coconut: 0.25, 'cocoa-butter': 0.1 } },
    { shares: { olive: 0.75, coconut: 0.25 } },
    2,
  ),
  blend(
    'wearLife',
    'shea for olive lasts',
    { shares: { olive: 0.5, coconut: 0.25, shea: 0.25 } },
    { shares: { olive: 0.75, coconut: 0.25 } },
    5,
  ),
  blend(
    'greaseLift',
    'ucuuba strips as coconut does',
    { shares: { ucuuba: 0.6, olive: 0.4 } },
    { shares: { coconut: 0.3, olive: 0.7 } },
    10,
  ),
  blend(
    'keeping',
    'citrate keeps',
    {
      shares: { sunflower: 0.3, coconut: 0.7 },
      additives: [{ id: 'sodium-citrate', rate: 0.01, of: 'oils', carrier: null }],
    },
    { shares: { sunflower: 0.3, coconut: 0.7 } },
    3,
  ),
]

/** The orders as the documentation shows them. */
export const orderingsTable = (): string =>
  [
    '| trait | order, the most first | why |',
    '| --- | --- | --- |',
    ...fatOrders.map(({ trait, fats, why }) => `| ${trait} | ${fats.join(' > ')} | ${why} |`),
    ...blendOrders.map(
      ({ trait, more, than, says }) =>
        `| ${trait} | ${wordsOf(more)} > ${wordsOf(than)} | ${says} |`,
    ),
  ].join('\n')
function wordsOf({ shares, ratio, kohShare, superfat, additives }: Blend): string {
  const percent = (share: number) => `${Math.round(share * 100)} %`
  return [
    ...Object.entries(shares).map(([id, share]) => (share === 1 ? id : `${percent(share)} ${id}`)),
    ...(ratio ? [`at ${ratio} : 1`] : []),
    ...(kohShare ? [`${percent(kohShare)} potash`] : []),
    ...(superfat ? [`${percent(superfat)} superfat`] : []),
    ...(additives ?? []).map(({ id }) => id),
  ].join(', ')
}
