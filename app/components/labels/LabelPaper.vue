<script setup lang="ts">
import type { LabelElement } from '#contracts/label'
import type { LabelSaid } from '#core/label/subject'
import type { Place } from '#core/label/places'
import { claimsOn, faultsOf, saysOf } from '#core/label/fit'
import { Redo2, Undo2 } from '@lucide/vue'
import { useElementSize, useEventListener } from '@vueuse/core'
import type { LabelEditing } from '~/composables/useLabelDesign'

/** One piece of paper to work on: picked with the pointer or Tab, moved with the pointer or the arrows. */
const { editing, designId, said, place, pixels } = defineProps<{
  editing: LabelEditing
  designId: string
  said: LabelSaid
  place: Place
  /** Of the screen for a millimetre. */
  pixels: number
}>()
const emit = defineEmits<{ ruler: [] }>()
const selected = defineModel<string>('selected', { required: true })
const { say } = storeToRefs(useWorkshop())
const design = computed(() => editing.design.value!)
const faults = computed(() => faultsOf(design.value, said.words, said.net, place, null))
const claims = computed(
  () => new Set(claimsOn(design.value, said.words).map(({ element }) => element)),
)
const overs = computed(() => faults.value.filter(({ kind }) => kind === 'over'))

const frame = ref<HTMLElement>()
const { width: room } = useElementSize(frame)
/** A small one is worked on at twice its size; one that is wider than the screen is drawn smaller. */
const scale = computed(() => {
  const own = design.value.width * pixels
  if (room.value <= 0) return 1
  if (own * 2 <= Math.min(room.value, 430)) return 2
  return own <= room.value + 1 ? 1 : room.value / own
})
const scaleSays = computed(() => {
  if (scale.value === 1) return 'true size. Hold a ruler to it'
  return scale.value === 2
    ? 'twice its size, to work in'
    : `${say.value.percent(scale.value)} of its size: this screen is smaller`
})
const wide = computed(() => design.value.width * pixels * scale.value)
const tall = computed(() => design.value.height * pixels * scale.value)
const ticks = computed(() =>
  Array.from({ length: Math.floor(design.value.width / 2) + 1 }, (_, n) => n * 2),
)
const element = computed(
  () => design.value.elements.find(({ id }) => id === selected.value) ?? null,
)

const clampTo = (value: number) => Math.round(Math.max(-10, Math.min(400, value)) * 10) / 10
function move(dx: number, dy: number, one: LabelElement) {
  editing.change(one.id, { x: clampTo(one.x + dx), y: clampTo(one.y + dy) }, 'move')
}
function resize(dx: number, dy: number, one: LabelElement) {
  editing.change(
    one.id,
    {
      width: Math.max(1, clampTo(one.width + dx)),
      height: Math.max(1, clampTo(one.height + dy)),
    },
    'size',
  )
}
const mmOf = (pixelsMoved: number) => pixelsMoved / (pixels * scale.value)
/** What the pointer holds: an element by its middle, or by its lower right corner. */
let held: { from: LabelElement; x: number; y: number; corner: boolean } | null = null
function grab(event: PointerEvent, one: LabelElement, corner: boolean) {
  if (event.button !== 0) return
  const before = selected.value
  selected.value = one.id
  // A finger that scrolls the page moves nothing: it takes what was picked by a tap before.
  if (event.pointerType !== 'mouse' && before !== one.id) return
  held = { from: one, x: event.clientX, y: event.clientY, corner }
}
useEventListener(window, 'pointermove', (event) => {
  if (!held) return
  const [dx, dy] = [mmOf(event.clientX - held.x), mmOf(event.clientY - held.y)]
  if (Math.hypot(event.clientX - held.x, event.clientY - held.y) < 3) return
  ;(held.corner ? resize : move)(dx, dy, held.from)
})
useEventListener(window, ['pointerup', 'pointercancel'], () => (held = null))

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function key(event: KeyboardEvent, one: LabelElement) {
  if (event.key === 'Escape') return void (selected.value = '')
  if (event.key === 'Delete' || event.key === 'Backspace') {
    event.preventDefault()
    return remove(one)
  }
  if (event.key === '+' || event.key === '-') {
    event.preventDefault()
    const by = event.key === '+' ? 0.1 : -0.1
    return editing.change(
      one.id,
      { size: Math.round(Math.max(0.7, Math.min(40, one.size + by)) * 10) / 10 },
      'type',
    )
  }
  const way = arrows[event.key]
  if (!way) return
  event.preventDefault()
  const step = event.shiftKey ? 5 : 0.5
  ;(event.altKey ? resize : move)(way[0] * step, way[1] * step, one)
}
/** Undo reaches the paper as a whole: what was taken off has no focus any more. */
function undoKey(event: KeyboardEvent) {
  if (!(event.ctrlKey || event.metaKey) || event.code !== 'KeyZ') return
  if (event.target instanceof HTMLInputElement) return
  event.preventDefault()
  if (event.shiftKey) editing.redo()
  else editing.undo()
}
const whole = ref<HTMLElement>()
function remove(one: LabelElement) {
  editing.set({
    ...design.value,
    elements: design.value.elements.filter(({ id }) => id !== one.id),
  })
  selected.value = ''
  whole.value?.focus()
}
const tagOf = (one: LabelElement) =>
  ['qr', 'barcode', 'logo', 'wave'].includes(one.part)
    ? `${say.value.number(one.width, 0, 1)} × ${say.value.number(one.height, 0, 1)} mm, arrows move`
    : `type ${say.value.number(one.size, 1)} mm, arrows move`
const spillOf = (id: string) => overs.value.find((fault) => fault.element === id)
</script>

<template>
  <section
    ref="whole"
    :aria-label="design.name"
    tabindex="-1"
    class="outline-none"
    @keydown="undoKey"
  >
    <div class="mb-1 flex min-h-7 flex-wrap items-center gap-x-3 gap-y-1">
      <h2 class="text-[14px] font-bold text-ink">{{ sizeText(design) }}</h2>
      <span class="text-[13px] text-ink-2">{{ scaleSays }}</span>
      <span v-if="editing.state.value === 'refused'" role="alert" class="text-[13px] text-stop"
        >Not kept: {{ editing.problem.value }}</span
      >
      <span class="ml-auto flex items-center gap-1">
        <button
          type="button"
          class="flex size-7 items-center justify-center disabled:opacity-40"
          aria-label="Undo"
          :disabled="!editing.canUndo.value"
          @click="editing.undo()"
        >
          <Undo2 :size="16" />
        </button>
        <button
          type="button"
          class="flex size-7 items-center justify-center disabled:opacity-40"
          aria-label="Redo"
          :disabled="!editing.canRedo.value"
          @click="editing.redo()"
        >
          <Redo2 :size="16" />
        </button>
        <button v-if="scale === 1" type="button" class="link text-[13px]" @click="emit('ruler')">
          Not right? Set this screen
        </button>
      </span>
    </div>
    <div ref="frame" class="overflow-x-auto pt-1 pb-2">
      <svg
        v-if="scale === 1"
        :width="wide + 20"
        height="20"
        class="-mb-px block"
        aria-hidden="true"
      >
        <g v-for="mm in ticks" :key="mm">
          <line
            :x1="mm * pixels + 0.5"
            :x2="mm * pixels + 0.5"
            y1="19"
            :y2="mm % 20 === 0 ? 9 : mm % 10 === 0 ? 12 : 15"
            stroke="currentColor"
          />
          <text
            v-if="mm % 20 === 0 && mm > 0"
            :x="mm * pixels"
            y="9"
            text-anchor="middle"
            font-size="12"
            fill="currentColor"
          >
            {{ mm }}
          </text>
        </g>
        <line x1="0" :x2="design.width * pixels" y1="19.5" y2="19.5" stroke="currentColor" />
      </svg>
      <div class="relative" :style="{ width: `${wide}px`, height: `${tall}px` }">
        <LabelDrawing
          :design="design"
          :words="said.words"
          :claims="claims"
          over
          class="absolute inset-0 overflow-visible"
          :width="wide"
          :height="tall"
          aria-hidden="true"
        />
        <div
          v-for="one in design.elements"
          :key="one.id"
          role="button"
          tabindex="0"
          class="absolute cursor-move hover:outline-1 hover:outline-act"
          :class="
            selected === one.id ? 'touch-none outline-2 outline-act' : 'focus-visible:outline-2'
          "
          :style="{
            left: `${one.x * pixels * scale}px`,
            top: `${one.y * pixels * scale}px`,
            width: `${one.width * pixels * scale}px`,
            height: `${one.height * pixels * scale}px`,
          }"
          :aria-label="`${partName(one.part)}: arrows move it, plus and minus change its type`"
          :aria-pressed="selected === one.id"
          @focus="selected = one.id"
          @pointerdown="grab($event, one, false)"
          @keydown="key($event, one)"
        >
          <span class="sr-only" :data-testid="`says-${one.part}`">{{
            saysOf(one, said.words)
          }}</span>
          <template v-if="selected === one.id">
            <span
              class="absolute bottom-full left-0 mb-0.5 bg-act px-1.5 text-[12px] font-bold whitespace-nowrap text-white"
              >{{ tagOf(one) }}</span
            >
            <i
              v-for="corner in ['-top-1 -left-1', '-top-1 -right-1', '-bottom-1 -left-1']"
              :key="corner"
              class="pointer-events-none absolute size-2 border border-act bg-white"
              :class="corner"
            />
            <i
              class="absolute -right-1.5 -bottom-1.5 size-3 cursor-nwse-resize border-2 border-act bg-white"
              @pointerdown.stop="grab($event, one, true)"
            />
          </template>
          <b
            v-if="spillOf(one.id)"
            class="pointer-events-none absolute top-full right-0 mt-1 bg-warn px-1.5 text-[12px] whitespace-nowrap text-white"
            >{{ say.count(spillOf(one.id)!.lines, 'line', 'lines') }} too long</b
          >
        </div>
      </div>
    </div>
    <ElementBar
      v-if="element"
      :editing="editing"
      :element="element"
      :design-id="designId"
      @remove="remove(element)"
    />
  </section>
</template>
