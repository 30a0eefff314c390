import type { LiquidMoment, WayOfLiquid } from '#contracts/words'
import type { SourceId } from './sources'

/** A liquid that may stand in for water. Contents as mass fractions. */
export interface Liquid {
  kind: 'liquid'
  id: string
  name: string
  aliases: string[]
  water: number
  fat: number
  /** Saponification value of its fat, mg KOH per g. */
  fatSap: number
  sugar: number
  /** Where it usually goes: sugary and fatty ones into the oils, the others into the lye. */
  moment: LiquidMoment
  way: WayOfLiquid
  /** What to mind, in a line. */
  mind: string
  source: SourceId
  colour: string
  /** Number of the certificate its own values come from. */
  certificate?: string
}

type Row = [
  name: string,
  percent: [water: number, fat: number, sugar: number],
  fatSap: number,
  moment: Liquid['moment'],
  way: Liquid['way'],
  colour: string,
  mind: string,
  aliases?: string[],
]

const scorches = 'Milk sugar scorches in hot lye: brown and smelly. Keep it under 38 °C.'

/** Plain, unsweetened products; usual composition from food composition tables. */
const rows: Record<string, Row> = {
  'distilled-water': [
    'Distilled water',
    [100, 0, 0],
    0,
    'lye',
    'poured',
    '#7fb0cc',
    'No minerals: no scum and no spots from it.',
  ],
  'rain-water': [
    'Rain water',
    [100, 0, 0],
    0,
    'lye',
    'poured',
    '#86aec2',
    'Soft; filter it, and boil what stood for long.',
    ['rainwater'],
  ],
  'tap-water': [
    'Tap water',
    [100, 0, 0],
    0,
    'lye',
    'poured',
    '#6f9fbd',
    'Hard water brings scum and, with iron, orange spots.',
  ],
  'goat-milk': [
    'Goat milk',
    [87, 4, 4.4],
    233,
    'oils',
    'poured',
    '#ece2cd',
    scorches,
    ["goat's milk", 'goats milk'],
  ],
  'cow-milk': [
    'Cow milk, whole',
    [87.5, 3.6, 4.8],
    230,
    'oils',
    'poured',
    '#f0e9da',
    scorches,
    ['milk', 'whole milk', "cow's milk"],
  ],
  'sheep-milk': [
    'Sheep milk',
    [81, 7, 5.1],
    230,
    'oils',
    'poured',
    '#f1ead3',
    scorches,
    ["sheep's milk", 'ewe milk'],
  ],
  'donkey-milk': ['Donkey milk', [90.5, 0.7, 6.6], 230, 'oils', 'poured', '#f1eee4', scorches],
  buttermilk: [
    'Buttermilk',
    [90.5, 0.8, 4.5],
    230,
    'oils',
    'poured',
    '#e9dfca',
    scorches,
    ['butter milk'],
  ],
  cream: [
    'Cream, 30 % fat',
    [64, 30, 3.2],
    230,
    'trace',
    'poured',
    '#f3e8c8',
    'A third of it is fat: it raises the superfat a good deal.',
    ['heavy cream'],
  ],
  yoghurt: [
    'Yoghurt, plain',
    [87, 3.5, 4.5],
    230,
    'trace',
    'poured',
    '#efece2',
    'Stir smooth and add at trace.',
    ['yogurt'],
  ],
  'coconut-milk': [
    'Coconut milk',
    [70, 20, 3],
    257,
    'oils',
    'poured',
    '#f2efe4',
    'A fifth of it is coconut fat, which counts in the superfat.',
  ],
  'oat-milk': [
    'Oat drink',
    [90, 1.5, 4],
    189,
    'oils',
    'poured',
    '#e4d7ba',
    'Sugars from the oats heat the batch.',
    ['oat drink'],
  ],
  'soy-milk': [
    'Soy drink',
    [92, 1.8, 0.6],
    192,
    'oils',
    'poured',
    '#e8dfc6',
    'Protein thickens the batter.',
    ['soya milk', 'soy drink'],
  ],
  'almond-milk': [
    'Almond drink',
    [96.5, 1.1, 0.2],
    191,
    'oils',
    'poured',
    '#e6d8c2',
    'Nuts: say so on the label.',
    ['almond drink'],
  ],
  'aloe-juice': [
    'Aloe juice',
    [98, 0, 0.5],
    0,
    'lye',
    'poured',
    '#cfe0c0',
    'Freeze or chill it; yellows in the lye.',
    ['aloe', 'aloe vera', 'aloe vera juice'],
  ],
  'green-tea': [
    'Green tea, brewed',
    [99.6, 0, 0],
    0,
    'lye',
    'poured',
    '#c9c98a',
    'Turns brown in lye; use it cold.',
    ['tea'],
  ],
  'chamomile-tea': [
    'Chamomile tea, brewed',
    [99.7, 0, 0],
    0,
    'lye',
    'poured',
    '#dcc97a',
    'Turns tan in lye; use it cold.',
    ['chamomile'],
  ],
  coffee: [
    'Coffee, brewed',
    [99.3, 0, 0],
    0,
    'lye',
    'poured',
    '#6b4a33',
    'Brown bars; the smell of coffee does not stay.',
  ],
  beer: [
    'Beer, flat',
    [93, 0, 3],
    0,
    'lye',
    'frozen',
    '#d2a24a',
    'Boil the alcohol and gas off, then freeze: it foams up in lye.',
    ['flat beer', 'ale', 'stout'],
  ],
  wine: [
    'Wine, boiled down',
    [92, 0, 1],
    0,
    'lye',
    'frozen',
    '#8c4c5e',
    'Boil the alcohol off first; red turns brown.',
  ],
  'carrot-puree': [
    'Carrot purée',
    [88, 0.2, 5],
    190,
    'oils',
    'poured',
    '#e08b3d',
    'Blend smooth into the oils: orange that fades a little.',
    ['carrot', 'carrot juice'],
  ],
  'pumpkin-puree': [
    'Pumpkin purée',
    [92, 0.1, 3],
    190,
    'oils',
    'poured',
    '#dd9a45',
    'Blend smooth into the oils.',
    ['pumpkin puree'],
  ],
  'cucumber-puree': [
    'Cucumber purée',
    [96, 0.1, 1.7],
    190,
    'oils',
    'poured',
    '#b4cc97',
    'Strain it; the green fades.',
    ['cucumber', 'cucumber juice'],
  ],
}

export const liquids: Liquid[] = Object.entries(rows).map(
  ([id, [name, [water, fat, sugar], fatSap, moment, way, colour, mind, aliases = []]]) => ({
    kind: 'liquid',
    id,
    name,
    aliases,
    water: water / 100,
    fat: fat / 100,
    fatSap,
    sugar: sugar / 100,
    moment,
    way,
    mind,
    source: 'handbook',
    colour,
  }),
)
