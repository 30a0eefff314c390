import type { Workshop } from '#contracts/workshop'

/** The Slate Shed's own settings; prices in pence for a kilogram, as they last paid. */
export const demoWorkshop: Workshop = {
  name: 'Slate Shed',
  timeZone: 'Europe/London',
  units: 'metric',
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
  lyeRisk: 0.001,
  leastFattyMatter: null,
  bench: { roomC: 17, scaleMax: 10_000, guardC: 38, thermometer: true },
  rack: { humidity: 0.58, turnEvery: 5 },
  vessels: [
    { name: 'Blue lye cup', millilitres: 700, grams: 38 },
    { name: 'Big steel jug', millilitres: 3000, grams: 642 },
    { name: 'White PP jug', millilitres: 2000, grams: 171 },
    { name: 'Ten-litre pan', millilitres: 10_000, grams: 1880 },
    { name: 'Scent beaker', millilitres: 250, grams: 96 },
  ],
}
