import type { Place, Workshop } from '#contracts/workshop'

/** Where bars dry in the shed, under the roof and by the north wall. */
export const demoPlaces: Place[] = [
  ['Roof beam, north', 'plank', 90],
  ['Roof beam, south', 'plank', 90],
  ['Wall rack, top', 'plank', 60],
  ['Wall rack, middle', 'plank', 60],
  ['Wall rack, low', 'plank', 60],
  ['Wire tray A', 'tray', 40],
  ['Wire tray B', 'tray', 40],
].map(([name, kind, bars], nth) => ({
  id: `0192d3f0-0000-7000-8000-00000000000${nth + 1}`,
  name,
  kind,
  bars,
})) as Place[]

/** The Slate Shed's own settings; prices in pence for a kilogram, as they last paid. */
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
  prices: {
    olive: 940,
    coconut: 560,
    tallow: 310,
    lard: 280,
    rapeseed: 210,
    shea: 1150,
    castor: 890,
    'cocoa-butter': 1480,
    palm: 340,
    'rice-bran': 520,
    'sunflower-high-oleic': 390,
    'sweet-almond': 1620,
    'laurel-berry': 3900,
    'stearic-acid': 640,
  },
  lyeRisk: 0.01,
  lyeRiskCleaning: 0.05,
  leastFattyMatter: null,
  emergency: { ambulance: '112', poison: '000 555 0142' },
  bench: { roomC: 17, scaleMax: 10_000, guardC: 38, thermometer: true, sends: true },
  rack: {
    humidity: 0.58,
    turnEvery: 5,
    cures: [{ id: 'most', label: 'Most bars', days: 42 }],
    places: demoPlaces,
    sensor: 'stand-in',
  },
  scaleCheck: null,
  vessels: [
    { name: 'Blue lye cup', millilitres: 700, grams: 38, stuff: 'hdpe' },
    { name: 'Big steel jug', millilitres: 3000, grams: 642, stuff: 'steel' },
    { name: 'White PP jug', millilitres: 2000, grams: 171, stuff: 'pp' },
    { name: 'Ten-litre pan', millilitres: 10_000, grams: 1880, stuff: 'steel' },
    { name: 'Scent beaker', millilitres: 250, grams: 96, stuff: 'glass' },
  ],
}
