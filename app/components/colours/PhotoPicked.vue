<script setup lang="ts">
import { patchSide } from '#core/scents/colour'
import type { PhotoPoints } from '~/composables/usePhotoPoints'

/** A photo in which points are picked: a square on each, and a loupe on the one that is chosen. */
const { photo } = defineProps<{ photo: PhotoPoints }>()
const { url, points, active, canvas } = photo
function pick(event: MouseEvent) {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  if (!box.width || event.detail === 0) return
  photo.pick((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height)
}
const placed = computed(() =>
  photo.names().flatMap((one, at) => {
    const spot = points.value[one.is]
    return spot ? [{ ...one, ...spot, sign: String(at + 1) }] : []
  }),
)
/** The square that is looked at, as part of the picture's width. */
const side = computed(() => (canvas.value ? patchSide / canvas.value.width : 0.02))
const under = computed(() => placed.value.find(({ is }) => is === active.value))
/** The corner that is farthest from what is picked. */
const corner = computed(() => {
  const corners = [
    { x: 0.15, y: 0.8, is: 'bottom-3 left-3' },
    { x: 0.85, y: 0.8, is: 'right-3 bottom-3' },
    { x: 0.15, y: 0.2, is: 'top-3 left-3' },
    { x: 0.85, y: 0.2, is: 'top-3 right-3' },
  ]
  const room = (one: { x: number; y: number }) =>
    Math.min(...placed.value.map(({ x, y }) => Math.hypot(x - one.x, y - one.y)))
  return corners.sort((a, b) => room(b) - room(a))[0]!.is
})
/** Whole on the screen: no higher than leaves room for what is under it. */
const highest = 524
const widest = computed(() =>
  canvas.value ? `${(highest * canvas.value.width) / canvas.value.height}px` : undefined,
)
const loupe = useTemplateRef<HTMLCanvasElement>('loupe')
watch(
  [() => photo.patches.value.get(active.value), loupe],
  ([patch, glass]) => {
    const brush = glass?.getContext('2d')
    if (!patch || !brush) return
    const picture = brush.createImageData(patchSide, patchSide)
    patch.forEach((pixel, at) => picture.data.set([...pixel, 255], at * 4))
    brush.putImageData(picture, 0, 0)
  },
  { flush: 'post' },
)
</script>

<template>
  <div class="relative overflow-hidden rounded-sm bg-[#4b504d]">
    <template v-if="url">
      <div class="relative mx-auto" :style="{ maxWidth: widest }">
        <img
          :src="url"
          alt="The photo: click where the chosen point is"
          class="block w-full cursor-crosshair"
          @click="pick"
        />
        <span
          v-for="one in placed"
          :key="one.is"
          class="pointer-events-none absolute aspect-square -translate-1/2 border-2 border-white outline-2 outline-[#182022]"
          :style="{
            left: `${one.x * 100}%`,
            top: `${one.y * 100}%`,
            width: `max(${side * 100}%, 22px)`,
          }"
        >
          <span
            class="absolute top-0 left-full ml-1.5 bg-[#182022] px-2 py-0.5 text-[13px] font-bold whitespace-nowrap text-white"
            :class="{ 'right-full left-auto mr-1.5': one.x > 0.6 }"
            >{{ one.sign }} <span class="font-semibold">{{ one.says }}</span></span
          >
        </span>
        <div
          v-if="under"
          class="pointer-events-none absolute aspect-square w-[24%] overflow-hidden rounded-full border-4 border-[#f2ead6] shadow-[0_0_0_2px_#182022]"
          :class="corner"
          aria-hidden="true"
        >
          <canvas
            ref="loupe"
            :width="patchSide"
            :height="patchSide"
            class="size-full [image-rendering:pixelated]"
          />
        </div>
      </div>
      <p class="flex flex-wrap gap-x-4 bg-[#182022] px-4 py-2.5 text-[13px] text-[#dfe5e2]">
        <span class="flex-1"
          ><b class="text-white">Lay the square on clean soap,</b> away from bubbles, ash and edges.
          It takes the mean of {{ patchSide }} × {{ patchSide }} points.</span
        >
        <span class="max-sm:hidden">arrows move it</span>
      </p>
    </template>
    <label
      v-else
      class="flex aspect-[4/3] max-h-[560px] w-full cursor-pointer flex-col items-center justify-center gap-2 px-6 text-center text-white focus-within:outline-3 focus-within:-outline-offset-4"
    >
      <b class="text-[20px]">Take or choose a photo</b>
      <span class="max-w-md"><slot /></span>
      <input
        type="file"
        accept="image/*"
        class="sr-only"
        aria-label="A photo"
        @change="photo.takeFrom"
      />
    </label>
  </div>
</template>
