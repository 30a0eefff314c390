<script setup lang="ts">
import { thingOf } from '#core/bench/run/lots'
import { weighedSoFar } from '#core/bench/run/run'

/** A weighing: the live figure, what is missing, the band, scoops and loads, typing, and what to do about too much. */
const bench = useBench()
const { step, ctx, target, done, stepState, devices } = bench
const workshop = useWorkshop()
const weighing = useWeighing(bench)
const wide = useWideBench()
const { shown, whole, load, loads, steady, typed, scoops, lifted, choosing, choices } = weighing
const say = computed(() => ctx.value.say)
const weigh = computed(() => step.value!.weigh!)
const colour = computed(() =>
  weigh.value.kind === 'share'
    ? (bench.plan.value.pots[weigh.value.pot ?? 0]?.colour ?? '#cbbf9f')
    : substanceColour(weigh.value.substance, weigh.value.id, ctx.value.library),
)
const silent = computed(() => devices.silent.value.scale)
const overload = computed(() => silent.value === false && devices.heard.value.scale?.value === null)
/** The gauge ends a little after the target, so that too much can be seen. */
const full = computed(() => Math.max(load.value.target * 1.13, bench.run.scale))
const part = (grams: number) => `${Math.min(100, Math.max(0, (grams / full.value) * 100))}%`
const figure = computed(() => (done.value ? scoops.value : shown.value.grams))
const ifStopped = computed(() => {
  if (weigh.value.kind === 'share' || !(figure.value > 0)) return ''
  const trial = {
    step: step.value!.id,
    grams: Math.max(0, shown.value.grams) / bench.times.value,
  }
  const made = weighedSoFar(ctx.value, bench.plan.value, bench.state.value, trial)
  return ['scent'].includes(weigh.value.kind)
    ? `scent if you stop here: ${say.value.percent(made.scent, 2)} of the oils`
    : ['water', 'ice'].includes(weigh.value.kind)
      ? `water to lye if you stop here: ${say.value.ratio(made.ratio)}`
      : `superfat if you stop here: ${say.value.percent(made.superfat, 1)}`
})
/** A blend is stirred before it is drawn from: what is hard in it has sunk. */
const isBlend = computed(() => Boolean(ctx.value.library.fats.get(weigh.value.id)?.parts?.length))
const stirred = ref('')
const wantsStirring = computed(
  () => isBlend.value && stirred.value !== step.value!.id && !scoops.value && !done.value,
)
const stir = () => (stirred.value = step.value!.id)
const mainKey = computed(() => {
  const { standing, toGo } = shown.value
  if (wantsStirring.value)
    return { says: 'Warm it whole and stir first', hint: 'W, once it is done', off: true }
  if (done.value) return { says: 'Done', hint: '→ goes on', off: true }
  if (overload.value) return { says: 'Too much for the scale', hint: 'take some off', off: true }
  if (lifted.value) return { says: 'The vessel is off the scale', hint: 'put it back', off: true }
  if (standing === 'over' && whole.value.standing === 'over')
    return { says: `${say.value.mass(-toGo)} too much`, hint: 'Space: what to do', off: false }
  if (standing === 'empty' || standing === 'short')
    return {
      says:
        standing === 'empty'
          ? `Weigh ${say.value.mass(load.value.target - scoops.value)}`
          : `${say.value.mass(toGo)} short`,
      hint: 'Space takes it once inside the band',
      off: true,
    }
  if (!steady.value)
    return {
      says: 'Settling',
      hint: weighing.asked.value ? 'taken once it lies still' : 'one moment',
      off: true,
    }
  return {
    says: 'Take it',
    hint:
      loads.value.length > 1 && whole.value.standing === 'short'
        ? `Space: load ${load.value.number} of ${loads.value.length}`
        : 'Space',
    off: false,
  }
})
const sounds = useBenchSounds()
watch(shown, (now, before) => {
  if (!sounds.value || done.value || typed.value) return
  const sound = weighingSound(before, now, load.value.target)
  if (typeof sound === 'string') soundOf(sound)
  else if (sound) click(sound.click)
})
/** The digits come first where no scale sends. */
const typing = ref(!bench.run.setup.sends || silent.value === null)
watch(silent, (now) => now === true && (typing.value = true))
const lots = useBenchLots(bench)
const thing = computed(() => thingOf(weigh.value))
const atHand = computed(() => lots.of(thing.value))
/** What is left in the lot beyond what this step still takes; below nothing it does not reach. */
const leftInLot = computed(() =>
  atHand.value ? atHand.value.lot.stock - Math.max(0, target.value - scoops.value) : 0,
)
useBenchKeys(
  {
    w: () => isBlend.value && stir(),
    g: () => thing.value && lots.next(thing.value),
    ' ': () => wantsStirring.value || weighing.take(),
    Enter: () => wantsStirring.value || weighing.take(),
    t: () => weighing.tare(),
    s: () => wantsStirring.value || weighing.takePart(),
    k: () => wantsStirring.value || weighing.takeShort(),
    h: () => (weighing.byItself.value = !weighing.byItself.value),
    Backspace: () => (typed.value = typed.value.slice(0, -1)),
    Escape: () => (typed.value = ''),
  },
  (key) => {
    if (!/^[0-9.,]$/.test(key)) return false
    if (choosing.value) {
      const choice = choices.value[Number(key) - 1]
      if (choice) weighing.choose(choice)
      return true
    }
    typed.value += key
    return true
  },
)
const vessels = computed(() => workshop.settings.vessels.filter(({ grams }) => grams > 0))
function pickVessel(event: Event) {
  const grams = Number((event.target as HTMLSelectElement).value)
  if (grams > 0) weighing.subtract(grams)
}
</script>

<template>
  <BenchFrame :pad="typing && !choosing && !done">
    <OverPour v-if="choosing" :choices="choices" :weighing="weighing" />
    <template v-else>
      <p
        class="figure mt-3 leading-none font-bold text-ink"
        aria-live="polite"
        :aria-label="`${say.massFigure(figure)} ${say.massUnit}`"
      >
        <span
          class="text-[76px] tracking-[-0.02em] sm:text-[120px] xl:text-[148px] low:text-[84px] wide:text-[min(148px,19dvh)]"
          >{{ overload ? '— —' : say.massFigure(figure) }}</span
        >
        <span class="ml-2 text-[34px] text-ink-2 sm:text-[56px]">{{ say.massUnit }}</span>
        <span v-if="typed" class="ml-3 align-middle text-[16px] font-semibold text-[#f3c24b]"
          >typed</span
        >
      </p>
      <p class="figure text-[18px] text-ink-2 sm:text-[22px]">
        <b class="font-semibold text-chalk">{{
          shown.standing === 'over'
            ? `${say.mass(-shown.toGo)} over`
            : done
              ? 'taken'
              : `${say.mass(Math.max(0, shown.toGo))} to go`
        }}</b>
        of {{ say.massFigure(target) }}, within {{ say.massFigure(weighing.tolerance.value) }}
        <template v-if="loads.length > 1">
          · load {{ load.number }} of {{ loads.length }}, up to
          {{ say.massFigure(load.target) }}</template
        >
      </p>
      <div
        class="relative mt-5 h-11 bg-[#283335] low:mt-3 low:h-6"
        role="img"
        :aria-label="`${say.mass(figure)} of ${say.mass(load.target)}`"
      >
        <u class="absolute inset-y-0 left-0" :style="{ width: part(figure), background: colour }" />
        <i
          class="absolute -inset-y-2.5 min-w-1.5 border-2 border-[#7fb69b] bg-[#7fb69b44]"
          :style="{
            left: part(load.target - weighing.tolerance.value),
            width: `calc(${part(load.target + weighing.tolerance.value)} - ${part(load.target - weighing.tolerance.value)})`,
          }"
        />
      </div>
      <div class="figure mt-3.5 flex justify-between gap-3 text-[14px] text-ink-3">
        <span>0</span><span class="text-center">{{ ifStopped }}</span
        ><span>{{ say.massFigure(full) }}</span>
      </div>
      <p v-if="silent" role="status" class="mt-3 text-[17px] font-semibold text-[#f3c24b]">
        The scale says nothing. Type what it shows; digits, then Space.
      </p>
      <p v-else-if="silent === null" class="mt-3 text-[16px] text-ink-2 max-sm:text-[14px]">
        No scale is linked. Type what it shows; digits, then Space.
      </p>
      <ul
        v-if="(stepState?.scoops.length ?? 0) > 1"
        class="figure mt-2 flex flex-wrap gap-x-4 text-[15px] text-ink-2"
      >
        <li v-for="(one, place) in stepState!.scoops" :key="one.id">
          {{ place + 1 }}: {{ say.mass(one.grams) }}
        </li>
      </ul>
      <p v-if="wantsStirring" class="mt-3 flex flex-wrap items-center gap-3 text-[16px]">
        <b class="text-[#f3c24b]">What is hard in it has sunk.</b> Nothing is weighed before it is
        one clear liquid to the bottom.
        <BenchKey quiet class="!flex-none" says="Warmed and stirred" hint="W" @click="stir" />
      </p>
      <p
        v-if="atHand && !done"
        class="mt-2 flex flex-wrap items-center gap-x-3 text-[15px] text-ink-2"
      >
        <span
          >Out of <b class="text-ink">{{ atHand.lot.document.code }}</b>,
          {{ say.amount(atHand.lot.stock) }}</span
        >
        <b v-if="leftInLot < 0" class="text-[#f3c24b]"
          >{{ say.amount(-leftInLot) }} short: weigh what is there, then take another</b
        >
        <BenchKey
          v-if="atHand.lots.length > 1"
          quiet
          class="!flex-none"
          says="Another lot"
          hint="G"
          @click="lots.next(atHand.thing)"
        />
      </p>
      <div
        class="mt-3 flex flex-wrap items-start gap-2 text-[15px]"
        :class="typing ? 'low:hidden' : ''"
      >
        <Teleport v-if="wide && typing && !done" defer to="#bench-pad">
          <BenchKeypad v-model="typed" class="mb-4" />
        </Teleport>
        <BenchKeypad v-else-if="typing && !done" v-model="typed" class="low:hidden" />
        <BenchKey
          quiet
          class="!flex-none"
          says="Scoop in, more to come"
          hint="S"
          @click="weighing.takePart()"
        />
        <BenchKey
          v-if="silent === false"
          quiet
          class="!flex-none"
          says="Enough as it is"
          hint="K"
          @click="weighing.takeShort()"
        />
        <BenchKey
          v-if="silent === false"
          quiet
          class="!flex-none"
          :says="
            weighing.byItself.value ? 'Takes itself when still: on' : 'Takes itself when still: off'
          "
          hint="H"
          :aria-pressed="weighing.byItself.value"
          @click="weighing.byItself.value = !weighing.byItself.value"
        />
        <BenchKey
          quiet
          class="!flex-none"
          says="Type it"
          hint="digits"
          :aria-expanded="typing"
          @click="typing = !typing"
        />
        <select
          v-if="vessels.length && silent === false"
          class="min-h-14 border border-line-3 bg-transparent px-2 text-ink"
          aria-label="Subtract a vessel"
          @change="pickVessel"
        >
          <option class="text-[#182022]" value="0">Vessel tared</option>
          <option
            v-for="vessel in vessels"
            :key="vessel.name"
            class="text-[#182022]"
            :value="vessel.grams"
          >
            {{ vessel.name }}, {{ say.mass(vessel.grams) }}
          </option>
        </select>
      </div>
    </template>
    <template #pad><BenchKeypad v-model="typed" /></template>
    <template #keys>
      <BenchKey says="Back" hint="←" @click="bench.look(-1)" />
      <BenchKey v-if="choosing" main says="Choose 1 to 4" disabled />
      <BenchKey
        v-else
        main
        :says="mainKey.says"
        :hint="mainKey.hint"
        :disabled="mainKey.off"
        @click="weighing.take()"
      />
      <BenchKey
        v-if="scoops && !done"
        says="Weigh again"
        hint="takes it back"
        @click="weighing.again()"
      />
      <BenchKey
        v-else-if="silent === false"
        says="Tare"
        hint="T"
        :class="typing ? 'low:hidden' : ''"
        @click="weighing.tare()"
      />
      <BenchKey
        v-else
        says="Enough"
        hint="as it is, K"
        :disabled="done"
        @click="weighing.takeShort()"
      />
    </template>
  </BenchFrame>
</template>
