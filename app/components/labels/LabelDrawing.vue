<script setup lang="ts">
import type { LabelDesign, LabelElement, LabelWords } from '#contracts/label'
import { saysOf } from '#core/label/fit'
import { bentLetters, emOf, face, setText, widthOf } from '#core/label/setting'
import { waveColours, wavePath } from '#core/label/wave'
import { create as squareCode } from 'qrcode'

/** A label as it is printed, line by line where the paper has it; millimetres are its units. */
const {
  design,
  words,
  over = false,
  claims = undefined,
} = defineProps<{
  design: LabelDesign
  words: LabelWords
  /** Draws what has no room, where it spills. */
  over?: boolean
  /** Elements that claim what they may not. */
  claims?: ReadonlySet<string>
}>()

interface Line {
  text: string
  x: number
  y: number
  spills: boolean
}
interface Drawn {
  element: LabelElement
  em: number
  lines: Line[]
  letters: ReturnType<typeof bentLetters>
  squares: string
  bars: string
  spilled: { y: number; height: number } | null
}
function squaresOf({ width, height }: LabelElement, leadsTo: string): string {
  const { modules } = squareCode(leadsTo, { errorCorrectionLevel: 'M' })
  const one = Math.min(width, height) / (modules.size + 8)
  let path = ''
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column))
        path += `M${(column + 4) * one} ${(row + 4) * one}h${one}v${one}h${-one}z`
  return path
}
/** The bars of a code, once what draws them is loaded. */
const barsOf = shallowRef<((element: LabelElement) => string) | null>(null)
watch(
  () => design.elements.some(({ part }) => part === 'barcode'),
  async (needed) => {
    if (!needed || barsOf.value) return
    const { raw } = await import('bwip-js/browser')
    barsOf.value = ({ width, height, text }) => {
      if (!text) return ''
      const [drawn] = raw({ bcid: 'code128', text }) as { sbs: number[] }[]
      const units = drawn!.sbs.reduce((sum, one) => sum + one, 0)
      const one = width / (units + 20)
      let at = 10 * one
      let path = ''
      for (const [nth, wide] of drawn!.sbs.entries()) {
        if (nth % 2 === 0) path += `M${at} 0h${wide * one}v${height}h${-wide * one}z`
        at += wide * one
      }
      return path
    }
  },
  { immediate: true },
)
const drawn = computed(() =>
  design.elements.map((element): Drawn => {
    const { x, y, width, bold, align, part } = element
    const says = saysOf(element, words)
    const bent = design.form === 'round' && element.bent !== 'no'
    const set = setText(bent ? '' : says, element)
    const { em, step } = set
    const room = set.lines.length - set.over
    const lines = set.lines.map((text, nth) => {
      const wide = align === 'left' ? 0 : widthOf(text, em, bold)
      const shift = { left: 0, center: (width - wide) / 2, right: width - wide }[align]
      return { text, x: x + shift, y: y + em * face.ascent + nth * step, spills: nth >= room }
    })
    return {
      element,
      em: emOf(element.size),
      lines,
      letters: bent ? bentLetters(says, element, design.width) : [],
      squares: part === 'qr' ? squaresOf(element, element.text || words.qr || ' ') : '',
      bars: part === 'barcode' ? (barsOf.value?.(element) ?? '') : '',
      spilled:
        set.over > 0 ? { y: y + room * step, height: set.over * step + em * face.descent } : null,
    }
  }),
)
const clip = useId()
</script>

<template>
  <svg :viewBox="`0 0 ${design.width} ${design.height}`" class="label-drawing block">
    <clipPath :id="clip">
      <circle
        v-if="design.form === 'round'"
        :cx="design.width / 2"
        :cy="design.width / 2"
        :r="design.width / 2"
      />
      <rect v-else :width="design.width" :height="design.height" :rx="design.corner" />
    </clipPath>
    <g :clip-path="over ? undefined : `url(#${clip})`">
      <circle
        v-if="design.form === 'round'"
        :cx="design.width / 2"
        :cy="design.width / 2"
        :r="design.width / 2"
        fill="#fffdf7"
      />
      <rect
        v-else
        :width="design.width"
        :height="design.height"
        :rx="design.corner"
        fill="#fffdf7"
      />
      <g v-for="one in drawn" :key="one.element.id">
        <g v-if="one.element.part === 'wave'" :clip-path="`url(#${clip})`">
          <g :transform="`translate(${one.element.x} ${one.element.y})`">
            <path
              :d="wavePath(one.element.width, one.element.height, 0)"
              :fill="waveColours(one.element, words)[1]"
              :opacity="
                waveColours(one.element, words)[0] === waveColours(one.element, words)[1] ? 0.6 : 1
              "
            />
            <path
              :d="wavePath(one.element.width, one.element.height, 0.32)"
              :fill="waveColours(one.element, words)[0]"
            />
          </g>
        </g>
        <g
          v-else-if="one.squares || one.bars"
          :transform="`translate(${one.element.x} ${one.element.y})`"
        >
          <rect
            v-if="one.squares"
            :width="Math.min(one.element.width, one.element.height)"
            :height="Math.min(one.element.width, one.element.height)"
            fill="#fff"
          />
          <path :d="one.squares || one.bars" fill="#000" />
        </g>
        <image
          v-else-if="one.element.part === 'logo' && one.element.picture"
          :href="`/api/photos/${one.element.picture}`"
          :x="one.element.x"
          :y="one.element.y"
          :width="one.element.width"
          :height="one.element.height"
        />
        <g v-else-if="one.element.part === 'logo'" opacity="0.5">
          <rect
            :x="one.element.x"
            :y="one.element.y"
            :width="one.element.width"
            :height="one.element.height"
            fill="none"
            stroke="#5c6a69"
            stroke-width="0.2"
            stroke-dasharray="1 0.6"
          />
        </g>
        <template v-else>
          <rect
            v-if="over && one.spilled"
            :x="one.element.x"
            :y="one.spilled.y"
            :width="one.element.width"
            :height="one.spilled.height"
            fill="#e9dcca"
            stroke="#8a4b08"
            stroke-width="0.2"
            stroke-dasharray="0.8 0.5"
          />
          <text
            v-for="(line, nth) in one.lines"
            :key="nth"
            :x="line.x"
            :y="line.y"
            :font-size="one.em"
            :font-weight="one.element.bold ? 700 : 400"
            :fill="
              over && (line.spills || claims?.has(one.element.id)) ? '#8a4b08' : one.element.colour
            "
            :text-decoration="claims?.has(one.element.id) ? 'line-through' : undefined"
            xml:space="preserve"
          >
            {{ line.text }}
          </text>
          <text
            v-for="(letter, nth) in one.letters"
            :key="`bent-${nth}`"
            :transform="`translate(${design.width / 2 + letter.x} ${design.width / 2 + letter.y}) rotate(${letter.turned})`"
            :font-size="one.em"
            :font-weight="one.element.bold ? 700 : 400"
            :fill="one.element.colour"
            xml:space="preserve"
          >
            {{ letter.letter }}
          </text>
        </template>
      </g>
    </g>
    <circle
      v-if="design.form === 'round'"
      :cx="design.width / 2"
      :cy="design.width / 2"
      :r="design.width / 2"
      fill="none"
      stroke="#182022"
      stroke-width="0.25"
    />
    <rect
      v-else
      :width="design.width"
      :height="design.height"
      :rx="design.corner"
      fill="none"
      stroke="#182022"
      stroke-width="0.25"
    />
    <line
      v-for="fold in design.folds"
      :key="fold"
      :x1="fold"
      :x2="fold"
      y1="0"
      :y2="design.height"
      stroke="#182022"
      stroke-width="0.25"
      stroke-dasharray="1 0.7"
    />
    <slot />
  </svg>
</template>

<style scoped>
.label-drawing text {
  font-family: 'Atkinson Hyperlegible Next Variable', sans-serif;
  font-kerning: none;
  font-feature-settings: normal;
  font-variant-numeric: normal;
  font-variant-ligatures: none;
  letter-spacing: 0;
}
</style>
