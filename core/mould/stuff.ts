import type { LinerKind, MouldMaterial } from '#contracts/words'

/** What a mould is made of, and what that asks of the maker. */
export interface Stuff {
  says: string
  /** Whether bars let go of it without help. */
  needs: 'nothing' | 'liner' | 'grease'
  mind: string
  /** It must never meet lye or fresh batter. */
  never?: string
}

/** Usual practice of makers; the resin codes are those moulded into the plastic. */
export const stuffOf: Record<MouldMaterial, Stuff> = {
  silicone: {
    says: 'Silicone',
    needs: 'nothing',
    mind: 'Lets go by itself. Stand it on a board: it bulges when full.',
  },
  wood: {
    says: 'Wood',
    needs: 'liner',
    mind: 'Line it, or the bar grows into the grain. Keeps the warmth, so gel comes easily.',
  },
  pp: {
    says: 'Polypropylene (PP, 5)',
    needs: 'grease',
    mind: 'Grease it or line it; stands hot batter.',
  },
  hdpe: {
    says: 'Polyethylene (HDPE, 2)',
    needs: 'grease',
    mind: 'Grease it or line it; softens above about 100 °C.',
  },
  acrylic: {
    says: 'Acrylic',
    needs: 'liner',
    mind: 'Line it. Crazes and warps when a batch gels hot.',
  },
  pvc: {
    says: 'PVC pipe',
    needs: 'grease',
    mind: 'Grease it or line it with film; cap one end tight. Softens from about 70 °C, so no forced gel.',
  },
  carton: {
    says: 'Coated carton',
    needs: 'nothing',
    mind: 'A rinsed drink carton is lined already. Once only; one with aluminium foil inside must not be used.',
  },
  stainless: {
    says: 'Stainless steel',
    needs: 'liner',
    mind: 'Line it. A magnet that does not stick is no proof: be sure that it is stainless.',
  },
  glass: {
    says: 'Glass',
    needs: 'liner',
    mind: 'Line it; bars stick and glass may crack from the heat. Better not.',
  },
  aluminium: {
    says: 'Aluminium',
    needs: 'liner',
    mind: 'Never.',
    never: 'Lye eats aluminium and sets free a gas that burns. A liner that leaks is not enough.',
  },
  tin: {
    says: 'Tinned or galvanised metal',
    needs: 'liner',
    mind: 'Never.',
    never: 'Lye eats tin and zinc, sets free a gas that burns, and spoils the soap.',
  },
}

export const linerNames: Record<LinerKind, string> = {
  none: 'nothing',
  paper: 'baking paper',
  film: 'plastic film',
  silicone: 'a silicone sheet',
  grease: 'a thin coat of grease',
}

export interface MouldRemark {
  severity: 'stop' | 'think'
  says: string
}

/**
 * What stands against pouring into a mould as it is: a material that lye eats, or one that holds on to the bar.
 * @example mouldRemark('silicone', 'none') // null
 */
export function mouldRemark(material: MouldMaterial, liner: LinerKind): MouldRemark | null {
  const stuff = stuffOf[material]
  if (stuff.never) return { severity: 'stop', says: stuff.never }
  const helped = liner !== 'none' && !(stuff.needs === 'liner' && liner === 'grease')
  if (stuff.needs === 'nothing' || helped) return null
  return {
    severity: 'think',
    says:
      stuff.needs === 'liner'
        ? `${stuff.says} wants a liner; without one the bars will not come out whole.`
        : `${stuff.says} wants to be greased or lined.`,
  }
}
