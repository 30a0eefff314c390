import type { Fixture, Place, Workshop } from '#contracts/workshop'

const idOf = (nth: number) => `0192d3f0-0000-7000-8000-0000000000${String(nth).padStart(2, '0')}`
const placeRows: [
  name: string,
  kind: Place['kind'],
  bars: number,
  x: number,
  y: number,
  width: number,
][] = [
  ['Roof beam, north', 'hung', 90, 2, 72, 46],
  ['Roof beam, south', 'hung', 90, 52, 72, 46],
  ['Wall rack, top', 'plank', 60, 34, 49, 38],
  ['Wall rack, middle', 'plank', 60, 34, 28, 38],
  ['Wall rack, low', 'plank', 60, 34, 8, 38],
  ['Wire tray A', 'tray', 40, 74, 31, 25],
  ['Wire tray B', 'tray', 40, 74, 8, 25],
]
/** Where bars dry in the shed, under the roof and by the north wall. */
export const demoPlaces: Place[] = placeRows.map(([name, kind, bars, x, y, width], nth) => ({
  id: idOf(nth + 1),
  name,
  kind,
  bars,
  spot: { x, y, width },
}))
/** What else is in the shed. */
const demoFixtures: Fixture[] = [
  { kind: 'door', name: 'door', x: 2, y: 0, width: 9, height: 48 },
  { kind: 'boxes', name: 'boxes and wraps', x: 15, y: 0, width: 15, height: 10 },
  { kind: 'posts', name: 'wall rack', x: 34, y: 0, width: 38, height: 64 },
  { kind: 'window', name: 'window', x: 75, y: 50, width: 12, height: 14 },
  { kind: 'hygrometer', name: 'hygrometer', x: 88, y: 50, width: 9, height: 14 },
].map((one, nth) => ({ id: idOf(nth + 21), ...one }) as Fixture)

/** The Slate Shed's own settings; money in pence. */
export const demoWorkshop: Workshop = {
  name: 'Slate Shed',
  timeZone: 'Europe/London',
  units: 'metric',
  degrees: null,
  spoons: 'metric',
  citricAcid: 'anhydrous',
  lyeTin: { label: 'naoh', open: 'year' },
  said: ['scale', 'weights', 'degrees', 'lye-label', 'lye-open', 'citric-acid'],
  scale: 0.1,
  regions: { scrub: { greaseLift: [38, 66] } },
  currency: 'GBP',
  scentRate: 0.05,
  costing: {
    hourly: 1260,
    hours: 2.25,
    overhead: { cost: 330, per: 'batch' },
    uses: [
      { thing: 'goods-wrap', count: 1, per: 'bar' },
      { thing: 'goods-label', count: 1, per: 'bar' },
      { thing: 'goods-liner', count: 1, per: 'batch' },
    ],
    keep: 0.6,
    tiedUp: 0.05,
    outlets: [
      { name: 'Ferry market', price: 450, fee: 0.08, discount: 0.05, wholesale: 0, tax: 0 },
      { name: 'Walkers’ hostel', price: 300, fee: 0, discount: 0, wholesale: 0, tax: 0 },
      { name: 'Harbour shop', price: 480, fee: 0, discount: 0, wholesale: 0.4, tax: 0 },
    ],
  },
  selling: {
    place: 'gb',
    maker: 'slate shed',
    person: 'Slate Shed, Kiln Lane, Saltness',
    country: '',
    step: 5,
    opened: 12,
    care: 'Let it dry between uses.',
    warnings: 'Keep out of eyes.',
    web: '',
    rules: {},
    names: {},
    allergens: [],
  },
  lyeRisk: 0.01,
  lyeRiskCleaning: 0.05,
  leastFattyMatter: null,
  emergency: { ambulance: '112', poison: '000 555 0142' },
  begin: { superfat: 0.05, water: 2.2, naohPurity: 0.985 },
  dates: { locale: 'en-GB', firstDay: 1 },
  learning: { resets: {} },
  bench: { roomC: 17, scaleMax: 10_000, guardC: 38, thermometer: true, sends: true },
  rack: {
    humidity: 0.58,
    turnEvery: 5,
    cures: [{ id: 'most', label: 'Most bars', days: 42 }],
    places: demoPlaces,
    fixtures: demoFixtures,
    sensor: 'stand-in',
  },
  scaleCheck: null,
  vessels: [
    { name: 'Blue lye cup', millilitres: 700, grams: 38, stuff: 'hdpe' },
    { name: 'Big steel jug', millilitres: 3000, grams: 642, stuff: 'steel' },
    { name: 'White PP jug', millilitres: 2000, grams: 171, stuff: 'pp' },
    { name: 'Ten-litre pan', millilitres: 10_000, grams: 1880, stuff: 'steel' },
    { name: 'Six-litre pan, old', millilitres: 6000, grams: 1310, stuff: 'steel' },
    { name: 'Six-litre pan, new', millilitres: 6000, grams: 1265, stuff: 'steel' },
    { name: 'Enamel-free pot', millilitres: 5000, grams: 980, stuff: 'steel' },
    { name: 'Tall PP jug', millilitres: 2500, grams: 204, stuff: 'pp' },
    { name: 'Short PP jug', millilitres: 1500, grams: 132, stuff: 'pp' },
    { name: 'Scent beaker', millilitres: 250, grams: 96, stuff: 'glass' },
  ],
}
