/** What may happen with lye, and what to do about it: usual first aid, before anybody has come who knows more. */
export interface Emergency {
  id: 'eye' | 'skin' | 'swallowed' | 'fumes' | 'boiling' | 'spill'
  says: string
  now: string[]
  never: string
  /** Who is called at once, besides being told at all. */
  calls: 'ambulance' | 'poison' | null
}

/**
 * In the order in which they are looked for. Rinsing comes before everything else, calling beside it; nothing is neutralised on a
 * person. The supplier's safety sheet, local rules and whoever answers the call come first.
 */
export const emergencies: Emergency[] = [
  {
    id: 'eye',
    says: 'In an eye',
    now: [
      'Rinse now, with plenty of lukewarm running water, lid held open, from the nose outwards.',
      'Contact lenses out while it runs. At least 20 minutes by the clock; go on rinsing on the way.',
      'Somebody else calls meanwhile. Every splash in an eye is seen by a doctor.',
    ],
    never: 'No drops, no vinegar, no rubbing; do not stop because it hurts less.',
    calls: 'ambulance',
  },
  {
    id: 'skin',
    says: 'On skin or clothes',
    now: [
      'Clothes, gloves and jewellery off where it is wet; dry flakes are brushed off first.',
      'Rinse under running water for at least 20 minutes. A slippery feeling means lye is still there.',
      'A doctor for the face, hands or joints, for blisters, and for anything larger than a palm.',
    ],
    never: 'No vinegar, no cream, no ice: neutralising heats it.',
    calls: null,
  },
  {
    id: 'swallowed',
    says: 'Swallowed',
    now: [
      'Rinse the mouth and spit out. If awake and able to swallow, one or two small sips of water.',
      'Call at once, also when nothing hurts. Keep the label at hand.',
      'Upright and calm; nothing more to eat or drink.',
    ],
    never: 'Never make anybody vomit: it burns twice. No vinegar, no lemon, no oil.',
    calls: 'poison',
  },
  {
    id: 'fumes',
    says: 'Breathed fumes',
    now: [
      'Out into fresh air, upright. Leave the jug where it is.',
      'Windows open before anybody goes back.',
      'A doctor for a cough or tightness that stays, and for asthma at once.',
    ],
    never: 'Do not lean over the jug to see what it does.',
    calls: null,
  },
  {
    id: 'boiling',
    says: 'It boils over or climbs out',
    now: [
      'Step back, gloves and goggles on. Let it fall; nothing that hot is carried.',
      'If it still climbs, stand the vessel in the sink or slide it onto a tray, held low, arms away.',
      'Stir nothing until it is quiet. A batter that climbs out of the mould is taken out by spoon.',
    ],
    never: 'No water onto lye, no ice into it, no lid pressed on.',
    calls: null,
  },
  {
    id: 'spill',
    says: 'Spilled',
    now: [
      'Everybody else out, children and pets first. Gloves, goggles and shoes on.',
      'Flakes are swept up dry; a solution is soaked up with paper, and the paper bagged as caustic.',
      'Then wipe with much water, three times. It slips until the lye is gone.',
    ],
    never: 'No acid onto a puddle of lye; nothing of aluminium or zinc to wipe or scoop with.',
    calls: null,
  },
]
