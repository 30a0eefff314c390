import type { WorkshopMould } from '#contracts/mould'

type Shape = WorkshopMould['mould']['shape']

export const shapeNames: Record<Shape, string> = {
  box: 'Loaf or tray',
  cylinder: 'Tube',
  cavities: 'Single cavities',
}

/** The measures of each shape, in the order they are asked for. */
export const shapeFields: Record<Shape, { key: string; says: string; unit: string }[]> = {
  box: [
    { key: 'lengthMm', says: 'Inside length', unit: 'mm' },
    { key: 'widthMm', says: 'Inside width', unit: 'mm' },
    { key: 'depthMm', says: 'Depth to fill', unit: 'mm' },
  ],
  cylinder: [
    { key: 'diameterMm', says: 'Inside diameter', unit: 'mm' },
    { key: 'depthMm', says: 'Depth to fill', unit: 'mm' },
  ],
  cavities: [
    { key: 'count', says: 'Cavities', unit: '' },
    { key: 'millilitres', says: 'Each holds', unit: 'ml' },
  ],
}

/** A mould of each shape to begin with. */
export const blankShapes = {
  box: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 70 },
  cylinder: { shape: 'cylinder', diameterMm: 75, depthMm: 250 },
  cavities: { shape: 'cavities', count: 8, millilitres: 110 },
} as const satisfies Record<Shape, WorkshopMould['mould']>
