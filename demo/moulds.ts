import type { WorkshopMould } from '#contracts/mould'

const uncut = { along: 1, across: 1 }

/** What the Slate Shed pours into. */
export const demoMoulds: WorkshopMould[] = [
  {
    name: 'Slate loaf',
    mould: { shape: 'box', lengthMm: 350, widthMm: 85, depthMm: 75 },
    cuts: { along: 14, across: 1 },
    trueMillilitres: 2180,
    owned: 5,
    material: 'wood',
    liner: 'paper',
    note: 'Idris built five from the old batten stock.',
  },
  {
    name: 'Short loaf',
    mould: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 70 },
    cuts: { along: 10, across: 1 },
    trueMillilitres: 1340,
    owned: 2,
    material: 'silicone',
    liner: 'none',
    note: 'Stands in its wooden sleeve, or it bulges.',
  },
  {
    name: 'Eight pebbles',
    mould: { shape: 'cavities', count: 8, millilitres: 110 },
    cuts: uncut,
    trueMillilitres: 856,
    owned: 2,
    material: 'silicone',
    liner: 'none',
    note: '',
  },
  {
    name: 'Ferry slab',
    mould: { shape: 'box', lengthMm: 390, widthMm: 270, depthMm: 32 },
    cuts: { along: 6, across: 4 },
    trueMillilitres: null,
    owned: 1,
    material: 'hdpe',
    liner: 'film',
    note: 'Coconut-rich slabs: cut the same evening.',
  },
  {
    name: 'Drain pipe',
    mould: { shape: 'cylinder', diameterMm: 75, depthMm: 300 },
    cuts: { along: 12, across: 1 },
    trueMillilitres: null,
    owned: 3,
    material: 'pvc',
    liner: 'grease',
    note: 'For Ferry Shave. Freezer for two hours, then push.',
  },
  {
    name: 'Galley cake tin',
    mould: { shape: 'box', lengthMm: 240, widthMm: 120, depthMm: 60 },
    cuts: { along: 4, across: 3 },
    trueMillilitres: null,
    owned: 1,
    material: 'aluminium',
    liner: 'none',
    note: 'Somebody keeps putting it on the bench. Only for carrying bars.',
  },
]
