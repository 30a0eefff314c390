import type { Use } from '#contracts/formula'

/** What a soap is for, in words. */
export const purposeNames: Record<Use, string> = {
  body: 'Body bar',
  face: 'Face',
  hands: 'Hands',
  hair: 'Hair',
  shaving: 'Shaving',
  baby: 'Baby',
  dishes: 'Dishes',
  laundry: 'Laundry',
  scrub: 'Scrub',
}
