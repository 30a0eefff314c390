import { createSharedComposable } from '@vueuse/core'

/** By what the rack is drawn: the stages of drying, or the room's own places. This browser remembers it. */
export const useRackView = createSharedComposable(() =>
  useKept<'stages' | 'room' | 'list'>('mantle-rack-view', 'stages', (value) =>
    value === 'room' || value === 'stages' || value === 'list' ? value : null,
  ),
)
