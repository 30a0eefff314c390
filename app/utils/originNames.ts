import type { FatOrigin } from '#core/materials/fat'

/** Where a fat comes from, in words. */
export const originNames: Record<FatOrigin, string> = {
  fruit: 'fruit',
  nut: 'nut',
  seed: 'seed',
  grain: 'grain',
  legume: 'legume',
  coconut: 'coconut',
  palm: 'oil palm',
  'other-palm': 'another palm',
  stem: 'stem',
  leaf: 'leaf',
  animal: 'animal',
  insect: 'insect',
  wood: 'wood',
}
