/*
 * What is known to move an outcome, and which way: 1 for more of it, -1 for less. The craft's rules, as the models of working time,
 * unmoulding and drying use them (docs/science.md); they say what else may lie behind a difference, never that it does.
 */

interface Pull {
  way: 1 | -1
  says: string
}

const pulls: Readonly<Record<string, Readonly<Record<string, Pull>>>> = {
  unmould: {
    water: { way: 1, says: 'more water also stays soft' },
    strength: { way: -1, says: 'strong lye sets sooner' },
    'fat:olive': { way: 1, says: 'sets slowly in the first days' },
    'hard-fats': { way: -1, says: 'hard fats set firm' },
    citric: { way: 1, says: 'citric acid keeps a loaf soft' },
    superfat: { way: 1, says: 'free fat stays soft' },
    gelled: { way: -1, says: 'a loaf that gelled sets sooner' },
    room: { way: -1, says: 'a cold room sets slowly' },
    'mixed-at': { way: -1, says: 'a warm pour sets sooner' },
    'extra:sodium-lactate': { way: -1, says: 'lactate hardens early' },
  },
  minutes: {
    water: { way: 1, says: 'more water leaves more time' },
    strength: { way: -1, says: 'strong lye hurries' },
    'mixed-at': { way: -1, says: 'a warm batter hurries' },
    'hard-fats': { way: -1, says: 'hard fats thicken early' },
    'fat:olive': { way: 1, says: 'olive takes its time' },
    'fat:castor': { way: -1, says: 'castor hurries' },
    superfat: { way: 1, says: 'more free fat is slower' },
    hand: { way: 1, says: 'a spoon takes about four times as long' },
    scented: { way: -1, says: 'many scents hurry' },
    scent: { way: -1, says: 'more scent hurries more' },
    batter: { way: 1, says: 'a big pot takes longer to pour' },
  },
  dry: {
    water: { way: 1, says: 'more water has to leave' },
    strength: { way: -1, says: 'strong lye leaves less water' },
    humidity: { way: 1, says: 'damp air takes less' },
    room: { way: -1, says: 'a warm room dries faster' },
    'fat:olive': { way: 1, says: 'olive holds on to its water' },
  },
  loss: {
    water: { way: 1, says: 'more water leaves' },
    strength: { way: -1, says: 'strong lye leaves less to lose' },
    humidity: { way: -1, says: 'damp air leaves more in the bar' },
  },
  'trouble:ash': {
    water: { way: 1, says: 'much water brings ash' },
    strength: { way: -1, says: 'strong lye keeps ash away' },
    gelled: { way: -1, says: 'gel keeps ash away' },
    room: { way: -1, says: 'a cold room brings ash' },
    'mixed-at': { way: -1, says: 'cold batter brings ash' },
  },
  'trouble:orange-spots': {
    superfat: { way: 1, says: 'free fat is what spoils' },
    'spoiling-fat': { way: 1, says: 'more of what spoils' },
    humidity: { way: 1, says: 'damp air helps it on' },
  },
  'trouble:soft': {
    water: { way: 1, says: 'more water also stays soft' },
    superfat: { way: 1, says: 'free fat stays soft' },
    citric: { way: 1, says: 'citric acid keeps a loaf soft' },
  },
  'trouble:sweating': {
    humidity: { way: 1, says: 'damp air is what it sweats from' },
  },
  'trouble:oil-on-top': {
    'vessels-apart': { way: 1, says: 'vessels far apart part again' },
    'mixed-at': { way: -1, says: 'cold fats feign trace' },
  },
  'trouble:cracks': {
    'mixed-at': { way: 1, says: 'a hot batter overheats' },
    water: { way: -1, says: 'little water cracks' },
  },
  torn: {
    water: { way: 1, says: 'more water also stays soft' },
    'hard-fats': { way: -1, says: 'hard fats let go' },
    unmould: { way: -1, says: 'what stood longer lets go' },
  },
  gelled: {
    water: { way: 1, says: 'more water turns at a lower heat' },
    'mixed-at': { way: 1, says: 'a warm pour gels' },
    batter: { way: 1, says: 'a big block keeps its heat' },
    room: { way: 1, says: 'a warm room keeps the heat' },
  },
  'felt:skinAfter': { superfat: { way: 1, says: 'free fat is milder' } },
}

/**
 * What is known of how a cause moves an outcome; null where nothing is.
 * @example pullOf('unmould', 'water') // { way: 1, says: 'more water also stays soft' }
 */
export const pullOf = (outcome: string, cause: string): Pull | null =>
  pulls[outcome]?.[cause] ?? null
