import { createSharedComposable, useMediaQuery } from '@vueuse/core'

/** Whether there is room for the steps at the left and the heat at the right: as `wide:` in the styles. */
export const useWideBench = createSharedComposable(() =>
  useMediaQuery('(min-width: 1024px) and (min-height: 600px)'),
)
