<script setup lang="ts">
import type { Extent, InRoom, RoomPlan } from '~/composables/useRoomPlan'

/** The room while it is arranged: everything in it can be taken, moved and made wider, by hand or by arrow keys. */
const { plan, width, height } = defineProps<{ plan: RoomPlan; width: number; height: number }>()

let from: { x: number; y: number; extent: Extent; wider: boolean } | null = null
function take(event: PointerEvent, thing: InRoom, wider: boolean) {
  plan.choose(thing.one.id)
  from = { x: event.clientX, y: event.clientY, extent: { ...plan.extentOf(thing) }, wider }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function carry(event: PointerEvent, thing: InRoom) {
  if (!from) return
  const right = ((event.clientX - from.x) / width) * 100
  const up = (-(event.clientY - from.y) / height) * 100
  const { x = 0, y = 0, width: wide = 0, height: high } = from.extent
  plan.hold(
    thing,
    from.wider
      ? { width: wide + right, ...(high === undefined ? {} : { height: high + up }) }
      : { x: x + right, y: y + up },
  )
}
function letGo() {
  if (from) void plan.drop()
  from = null
}
const steps: Record<string, [x: number, y: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
function nudge(event: KeyboardEvent, thing: InRoom) {
  const step = steps[event.key]
  if (!step) return
  event.preventDefault()
  const by = event.shiftKey ? 5 : 1
  const { x = 0, y = 0, width: wide = 0 } = plan.extentOf(thing)
  void plan.put(
    thing,
    event.altKey ? { width: wide + step[0] * by } : { x: x + step[0] * by, y: y + step[1] * by },
  )
}
const nameOf = ({ one }: InRoom) => one.name || 'without a name'
const where = (thing: InRoom) => {
  const { x, y, width: wide } = plan.extentOf(thing)
  return `${nameOf(thing)}: ${x} % from the left, ${y} % from the floor, ${wide} % wide`
}
</script>

<template>
  <div class="absolute inset-0 z-10">
    <button
      v-for="thing in plan.all.value"
      :key="thing.one.id"
      type="button"
      class="absolute touch-none cursor-move border-2 bg-act/5"
      :class="plan.chosen.value === thing.one.id ? 'border-act' : 'border-dashed border-line-3'"
      :aria-label="where(thing)"
      :aria-pressed="plan.chosen.value === thing.one.id"
      :style="{
        left: `${plan.extentOf(thing).x}%`,
        bottom: `${plan.extentOf(thing).y}%`,
        width: `${plan.extentOf(thing).width}%`,
        height: thing.is === 'place' ? '92px' : `${plan.extentOf(thing).height}%`,
      }"
      @click="plan.choose(thing.one.id)"
      @pointerdown="take($event, thing, false)"
      @pointermove="carry($event, thing)"
      @pointerup="letGo"
      @pointercancel="letGo"
      @keydown="nudge($event, thing)"
    >
      <i
        class="absolute -right-2 size-4 cursor-ew-resize touch-none border-2 border-act bg-field"
        :class="thing.is === 'place' ? '-bottom-2' : '-top-2'"
        aria-hidden="true"
        @pointerdown.stop="take($event, thing, true)"
        @pointermove.stop="carry($event, thing)"
        @pointerup.stop="letGo"
      />
    </button>
  </div>
</template>
