import type { OwnFat, OwnMaterial } from '#contracts/material'
import { library as shipped } from '#core/materials/library'
import { libraryWith, recordOf } from '#core/materials/own'

/** Lots that came with a certificate, and what the library does not have. */
export const demoMaterials: OwnMaterial[] = [
  {
    ...(recordOf(shipped.fats.get('rapeseed')!) as OwnFat),
    certificate: 'KR-2026-118',
    sap: { low: 188.4, typical: 189.3, high: 190.2 },
  },
  {
    kind: 'liquid',
    id: 'own-kelp-tea',
    name: 'Kelp tea',
    colour: '#7b8a5c',
    certificate: '',
    water: 0.985,
    fat: 0,
    fatSap: 0,
    naohTaken: 0,
    sugar: 0.002,
    moment: 'lye',
    way: 'poured',
    mind: 'Strain it twice. Smells of low tide for a week, then of nothing.',
  },
  {
    kind: 'additive',
    id: 'own-slate-dust',
    name: 'Slate dust',
    colour: '#5b6770',
    certificate: '',
    group: 'scrub',
    moment: 'trace',
    usualRate: 0.02,
    highRate: 0.05,
    density: 1.3,
    disperse: { in: 'oil', ratio: 1 },
    pace: 1,
    heats: false,
    tints: true,
    does: 'Scours and greys the bar. From the saw, washed, dried and sieved to 0.2 mm.',
  },
]

/** The library as the Slate Shed has it. */
export const demoLibrary = libraryWith(shipped, demoMaterials)
