import { rightsOfScale, rightsOfTablet, type Right } from '#contracts/rights'

/** Paired devices of the Slate Shed: days ago each was paired, and was seen last. */
export const demoDevices: {
  name: string
  rights: readonly Right[]
  ago: number
  seen: number | null
}[] = [
  { name: 'Bench tablet', rights: rightsOfTablet, ago: 210, seen: 0 },
  { name: 'Jo’s phone', rights: ['read', 'rack'], ago: 96, seen: 2 },
  { name: 'Scale by the window', rights: rightsOfScale, ago: 50, seen: 0 },
]
