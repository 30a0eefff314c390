<script setup lang="ts">
import { scaleCheckDue, scaleOff, type ScaleChecked } from '#core/bench/run/scaleCheck'

/** Now and then, before anything is weighed: a mass that is known on the scale. Ten seconds, kept, and never in the way. */
const bench = useBench()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const due = computed(() => scaleCheckDue(workshop.settings.scaleCheck, workshop.today))
const mass = ref<number | null>(200)
const shown = ref<number | null>(null)
const fromScale = computed(() => bench.devices.now.value.scale)
const checked = ref<ScaleChecked | null>(null)
const off = computed(() => (checked.value ? scaleOff(checked.value, bench.run.scale) : null))
const problem = ref('')
async function keep(value: number | null) {
  if (mass.value === null || value === null) return
  const now = { day: workshop.today, mass: mass.value, shown: value }
  checked.value = now
  problem.value = await workshop
    .save({ scaleCheck: now })
    .then(() => '')
    .catch((error: unknown) => `${sentenceOf(error)} It counts for today all the same.`)
}
</script>

<template>
  <section
    v-if="due || checked"
    class="mt-4 bg-[#1f2829] px-4 py-3 text-[16px]"
    aria-label="The scale"
  >
    <template v-if="!checked">
      <b class="text-[18px]">Is the scale right? Ten seconds.</b>
      <p class="text-ink-2">
        {{
          workshop.settings.scaleCheck
            ? `Last held against a known mass on ${dayText(workshop.settings.scaleCheck.day)}.`
            : 'Nobody has held it against a known mass yet.'
        }}
        A check weight, or anything whose mass is printed and sealed.
      </p>
      <div class="mt-2 flex flex-wrap items-center gap-3">
        <label class="flex items-center gap-2"
          >Known
          <NumberField
            v-model="mass"
            kind="mass"
            class="w-32"
            label="Known mass"
            :min="1"
            :max="50000"
        /></label>
        <label class="flex items-center gap-2"
          >it shows
          <NumberField
            v-model="shown"
            kind="mass"
            class="w-32"
            label="The scale shows"
            :min="0"
            :max="50000"
        /></label>
        <BenchKey class="!flex-none" says="Keep" :disabled="shown === null" @click="keep(shown)" />
        <BenchKey
          v-if="fromScale !== null"
          class="!flex-none"
          :says="`Take ${say.mass(fromScale)}`"
          @click="keep(fromScale)"
        />
      </div>
    </template>
    <p v-else-if="off === null" class="text-[18px] font-bold text-[#9fd1b8]">
      The scale is right to {{ say.mass(Math.abs(checked.shown - checked.mass)) }}.
    </p>
    <p v-else role="alert" class="text-[18px]">
      <b class="text-[#f3c24b]"
        >The scale shows {{ say.percent(Math.abs(off), 1) }} too
        {{ off > 0 ? 'much' : 'little' }}.</b
      >
      Every weight would be off by as much, the lye too. Set it right, new batteries first, or use
      another.
      <button type="button" class="min-h-11 px-2 underline" @click="checked = null">
        Check again
      </button>
    </p>
    <p v-if="problem" role="status" class="text-[#f3c24b]">{{ problem }}</p>
  </section>
</template>
