<script setup lang="ts">
import { patterns, type Pattern } from '#contracts/words'
import { pours } from '#core/batter/patterns'
import { pourActs } from '#core/batter/pourActs'
import { patternOf, patternsOf } from '#core/formula/method'
import { inSentence } from '#core/units/language'
import { X } from '@lucide/vue'
import { poursFor } from '#core/batter/bears'
import { paceText } from '#core/batter/scentBehaviour'
import { reasonsOf, workingTime } from '#core/batter/workingTime'

/** How it is made: temperatures, gel, pour. */
const { say } = storeToRefs(useWorkshop())
const { document, result, put } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const time = computed(() => workingTime(document.value, result.value, library.value))
const reasons = computed(() => {
  const less = reasonsOf(time.value, 'less', say.value)
  const more = reasonsOf(time.value, 'more', say.value)
  return say.value.list(
    [less && `shortened by ${less}`, more && `lengthened by ${more}`].filter(Boolean),
  )
})
/** Pours of a batter that one colour shows nothing of are left to those who have colours. */
const bearable = computed(() => {
  const colours = document.value.parts.length > 1
  return poursFor(time.value.minutes).filter((one) => colours || !pours[one].needsColours)
})
const scentsSay = computed(() => time.value.scents.map((one) => paceText(one, say.value)))
const pattern = computed(() => patternOf(document.value))
/** The pour decides the batter; what comes to it is done before, between or after. */
const also = computed(() => patternsOf(document.value).slice(1))
const joins = computed(() =>
  patterns.filter((one) => {
    const { between, after, beforeLast } = pourActs[one]
    return (between || after || beforeLast) && one !== pattern.value && !also.value.includes(one)
  }),
)
const putPatterns = (all: Pattern[]) =>
  put(['method', 'patterns'], all.length === 1 && all[0] === 'plain' ? [] : all)
const setPattern = (to: Pattern) => putPatterns([to, ...also.value.filter((one) => one !== to)])
const addPattern = (to: Pattern) => putPatterns([pattern.value, ...also.value, to])
const dropPattern = (gone: Pattern) =>
  putPatterns([pattern.value, ...also.value.filter((one) => one !== gone)])
const tools = { blender: 'a blender', whisk: 'a whisk', spoon: 'a spoon' } as const
const gels = { leave: 'as it comes', force: 'force it', prevent: 'prevent it' } as const
</script>

<template>
  <section class="grid content-start gap-2 px-4 py-3" aria-label="Method">
    <h2>Method</h2>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <label class="flex items-center gap-2"
        >Lye at
        <TemperatureField
          label="Lye temperature"
          :model-value="document.method.lyeC"
          @update:model-value="put(['method', 'lyeC'], $event)"
      /></label>
      <label class="flex items-center gap-2"
        >oils at
        <TemperatureField
          label="Oil temperature"
          :model-value="document.method.oilsC"
          @update:model-value="put(['method', 'oilsC'], $event)"
      /></label>
      <label class="flex items-center gap-2">
        Gel
        <select
          class="field py-1"
          :value="document.method.gel"
          @change="put(['method', 'gel'], ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="(says, gel) in gels" :key="gel" :value="gel">{{ says }}</option>
        </select>
      </label>
      <label class="flex items-center gap-2">
        With
        <select
          class="field py-1"
          :value="document.method.tool"
          @change="put(['method', 'tool'], ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="(says, tool) in tools" :key="tool" :value="tool">{{ says }}</option>
        </select>
      </label>
      <label class="flex items-center gap-2">
        Pour
        <select
          class="field py-1"
          :value="pattern"
          @change="setPattern(($event.target as HTMLSelectElement).value as Pattern)"
        >
          <option v-for="one in patterns" :key="one" :value="one">
            {{ pours[one].says }}
          </option>
        </select>
      </label>
      <span
        v-for="one in also"
        :key="one"
        class="inline-flex items-center gap-1 border border-line-3 py-0.5 pl-2"
      >
        {{ pours[one].says }}
        <button
          type="button"
          class="p-1.5"
          :aria-label="`Without ${pours[one].says}`"
          @click="dropPattern(one)"
        >
          <X :size="14" aria-hidden="true" />
        </button>
      </span>
      <select
        v-if="joins.length && also.length < 3"
        class="field py-1"
        aria-label="And then"
        :value="''"
        @change="addPattern(($event.target as HTMLSelectElement).value as Pattern)"
      >
        <option value="" disabled>and then …</option>
        <option v-for="one in joins" :key="one" :value="one">{{ pours[one].says }}</option>
      </select>
    </div>
    <p class="text-sm text-ink-2">
      {{ pours[pattern].says }}: {{ pours[pattern].wants }}, for about
      {{ pours[pattern].minutes }} minutes.
      <template v-if="result.oils > 0">
        This batter stays workable for about
        <b class="figure font-semibold text-ink">{{ Math.round(time.minutes) }} minutes</b>:
        {{ reasons ? `${reasons};` : '' }} an estimate, your own times are better.
        <template v-for="one in scentsSay" :key="one">{{ one }}. </template>
        It bears
        <template v-if="bearable.length"
          ><template v-for="(one, at) in bearable" :key="one"
            ><template v-if="at">{{ at === bearable.length - 1 ? ' or ' : ', ' }}</template
            ><b v-if="one === pattern" class="font-semibold text-ink">{{
              inSentence(pours[one].says)
            }}</b
            ><button v-else type="button" class="link" @click="setPattern(one)">
              {{ inSentence(pours[one].says) }}
            </button></template
          >. </template
        ><template v-else>no pour: it is too thick before a mould is full. </template>
        <NuxtLink class="link" to="/explained#time-to-work-a-rule-of-the-craft">Why?</NuxtLink>
      </template>
    </p>
  </section>
</template>
