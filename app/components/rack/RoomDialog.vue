<script setup lang="ts">
import type { Fault } from '#contracts/faults'
import type { StreamedReading } from '#contracts/device'
import { cureRulesOf } from '#core/rack/cure'
import { roundTo } from '#core/statistics/roundTo'

/** The drying room and its rules: what it is like, who says so, how often bars are turned, how long they cure, where they stand. */
const open = defineModel<boolean>({ required: true })
const workshop = useWorkshop()
const room = useRoom()
const toasts = useToasts()
const { say } = storeToRefs(workshop)
/** The room as it was when this dialog opened: what is changed is counted from it. */
const before = plain(workshop.settings.rack)
const draft = reactive({
  ...workshop.settings.rack,
  humidity: workshop.settings.rack.humidity as number | null,
  turnEvery: workshop.settings.rack.turnEvery as number | null,
  places: workshop.settings.rack.places.map((place) => ({
    ...place,
    bars: place.bars as number | null,
  })),
  cures: cureRulesOf(workshop.settings.rack.cures).map(({ id, label, days }) => ({
    id,
    label,
    days: days as number | null,
  })),
})
const faults = ref<Fault[]>([])
const heard = ref<string[]>([])
onMounted(async () => {
  void room.load()
  const devices = await api.get<StreamedReading[]>('/api/devices').catch(() => [])
  heard.value = devices.flatMap(({ kind, device }) => (kind === 'humidity' ? [device] : []))
})
const sensors = computed(() => [
  ...new Set([
    ...heard.value,
    ...(draft.sensor && draft.sensor !== 'stand-in' ? [draft.sensor] : []),
  ]),
])

const typed = reactive({ celsius: null as number | null, humidity: null as number | null })
const typing = ref('')
async function keepTyped() {
  if (typed.celsius === null || typed.humidity === null) return
  try {
    const celsius = say.value.celsiusOf(typed.celsius)
    await room.keep({ celsius, humidity: typed.humidity })
    await workshop.load()
    Object.assign(typed, { celsius: null, humidity: null })
    typing.value = ''
    toasts.show('The room is written down.')
  } catch (error) {
    typing.value = sentenceOf(error)
  }
}
const { damp } = storeToRefs(room)
const option = computed(() => {
  const { days } = room.room
  const warm = (celsius: number) => roundTo(say.value.degreesOf(celsius), 1)
  const text = { color: '#4c595b' }
  return {
    grid: { left: 40, right: 40, top: 24, bottom: 22 },
    tooltip: { trigger: 'axis' },
    xAxis: {
      type: 'category',
      data: days.map(({ day }) => dayText(day)),
      axisLabel: { ...text, interval: Math.max(1, Math.floor(days.length / 5)) },
    },
    yAxis: [
      {
        type: 'value',
        name: '%',
        min: 30,
        max: 90,
        nameTextStyle: text,
        axisLabel: text,
        splitLine: { lineStyle: { color: '#e6eae7' } },
      },
      {
        type: 'value',
        name: `°${say.value.degrees}`,
        scale: true,
        nameTextStyle: text,
        axisLabel: text,
        splitLine: { show: false },
      },
    ],
    series: [
      {
        name: 'humidity, %',
        type: 'line',
        showSymbol: false,
        animation: false,
        data: days.map(({ humidity }) => Math.round(humidity * 100)),
        lineStyle: { color: '#2f6b8f', width: 2 },
        itemStyle: { color: '#2f6b8f' },
      },
      {
        name: 'warmth',
        type: 'line',
        yAxisIndex: 1,
        showSymbol: false,
        animation: false,
        data: days.map(({ celsius }) => warm(celsius)),
        lineStyle: { color: '#8f5208', width: 1.5, type: 'dashed' },
        itemStyle: { color: '#8f5208' },
      },
    ],
  }
})
const says = computed(() => {
  const { days } = room.room
  return `The room over ${days.length} days: humidity in per cent, solid, from ${Math.round(Math.min(...days.map((one) => one.humidity)) * 100)} to ${Math.round(Math.max(...days.map((one) => one.humidity)) * 100)}; warmth dashed.`
})
const addPlace = () =>
  draft.places.push({
    id: newId(),
    name: `Plank ${draft.places.length + 1}`,
    kind: 'plank',
    bars: 60,
  })
/** Which of the lists a fault is in, in words. */
function whereOf(path: string): string {
  const [, list, place] = /^rack\.(places|cures)\[(\d+)\]/.exec(path) ?? []
  if (!list) return ''
  return `${list === 'places' ? 'Place' : 'Kind'} ${Number(place) + 1}: `
}
async function done() {
  try {
    await workshop.save(({ rack: now }) => ({
      rack: {
        ...(draft.sensor === before.sensor ? {} : { sensor: draft.sensor }),
        ...(draft.humidity === before.humidity ? {} : { humidity: draft.humidity ?? Number.NaN }),
        ...(draft.turnEvery === before.turnEvery ? {} : { turnEvery: draft.turnEvery ?? 0 }),
        // A plank that another window added meanwhile stays.
        cures: listsTogether(
          before.cures,
          draft.cures.map((rule) => ({ ...rule, days: rule.days ?? Number.NaN })),
          now.cures,
        ),
        places: listsTogether(
          before.places,
          draft.places.map((place) => ({ ...place, bars: place.bars ?? Number.NaN })),
          now.places,
        ),
      },
    }))
    await room.load()
    open.value = false
  } catch (error) {
    faults.value = error instanceof ApiError ? error.faults : []
  }
}
</script>

<template>
  <AppDialog v-model="open" title="The drying room" wide>
    <form class="grid max-h-[66vh] gap-5 overflow-y-auto px-5 py-4" @submit.prevent="done">
      <section>
        <p v-if="room.now" class="figure text-[22px] font-[650]" role="status">
          {{ say.temperature(room.now.celsius) }} · {{ say.percent(room.now.humidity, 0) }}
          <small class="text-sm font-normal text-ink-2">{{
            room.live
              ? 'by the sensor, now'
              : `written down ${dayText(workshop.dayOf(room.now.at), { today: workshop.today })}`
          }}</small>
        </p>
        <p v-if="damp" class="mt-2 bg-warn-ground px-3 py-2 text-warn">
          <b>A damp week.</b> {{ say.percent(damp.humidity, 0) }} instead of
          {{ say.percent(damp.before, 0) }}: bars dry about {{ say.percent(1 - damp.pace, 0) }}
          slower, and salt bars sweat. Move air, or a dehumidifier.
        </p>
        <LazyAppChart
          v-if="room.room.days.length > 1"
          class="mt-2 h-[170px]"
          :option="option"
          :says="says"
        />
        <div class="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
          <FieldRow says="Who reads it">
            <select v-model="draft.sensor" class="field font-normal">
              <option :value="null">nobody: typed by hand</option>
              <option value="stand-in">the stand-in sensor, for practice</option>
              <option v-for="name in sensors" :key="name" :value="name">{{ name }}</option>
            </select>
          </FieldRow>
          <LabelledNumber
            v-model="typed.celsius"
            says="Typed: warmth"
            label="Warmth of the room"
            :unit="`°${say.degrees}`"
            :decimals="1"
          />
          <LabelledNumber
            v-model="typed.humidity"
            says="humidity"
            label="Humidity of the room"
            kind="percent"
            :min="0.05"
            :max="1"
            :decimals="0"
          />
          <AppButton
            :disabled="typed.celsius === null || typed.humidity === null"
            @click="keepTyped"
            >Write it down</AppButton
          >
        </div>
        <p v-if="typing" role="alert" class="text-stop">{{ typing }}</p>
      </section>
      <section class="flex flex-wrap gap-x-6 gap-y-2 border-t border-line-2 pt-4">
        <LabelledNumber
          v-model="draft.humidity"
          says="Humidity while nobody logs it"
          kind="percent"
          :min="0.1"
          :max="0.95"
          :decimals="0"
        />
        <LabelledNumber
          v-model="draft.turnEvery"
          says="Turn the bars every"
          unit="days"
          :min="0"
          :max="60"
          :decimals="0"
        />
        <p class="self-end text-sm text-ink-2">0: nobody turns them here.</p>
      </section>
      <section class="border-t border-line-2 pt-4">
        <h3 class="mb-1 font-semibold">Cure by the calendar</h3>
        <p class="mb-2 text-sm text-ink-2">
          Makers differ: 3 to 4 weeks for coconut, 4 to 6 for most, 6 to 12 months for olive. These
          hold for batches made from now on.
        </p>
        <ul class="grid gap-2 sm:grid-cols-2">
          <li v-for="(rule, place) in draft.cures" :key="rule.id" class="flex items-center gap-2">
            <input
              v-model="rule.label"
              class="field min-w-0 flex-1"
              maxlength="60"
              :aria-label="`Kind ${place + 1}`"
            />
            <NumberField
              v-model="rule.days"
              :label="`Days for ${rule.label}`"
              unit="days"
              class="w-28"
              :min="1"
              :max="1500"
              :decimals="0"
            />
          </li>
        </ul>
        <button
          v-if="draft.cures.length < 12"
          type="button"
          class="link mt-2"
          @click="draft.cures.push({ id: `own-${newId()}`, label: 'Our own', days: 60 })"
        >
          Add a kind
        </button>
      </section>
      <section class="border-t border-line-2 pt-4">
        <h3 class="mb-2 font-semibold">Planks and trays</h3>
        <ul class="grid gap-2">
          <li
            v-for="(place, index) in draft.places"
            :key="place.id"
            class="flex flex-wrap items-center gap-2"
          >
            <input
              v-model="place.name"
              class="field min-w-40 flex-1"
              maxlength="60"
              :aria-label="`Name of place ${index + 1}`"
            />
            <select v-model="place.kind" class="field" :aria-label="`Kind of place ${index + 1}`">
              <option value="plank">plank</option>
              <option value="tray">tray</option>
            </select>
            <NumberField
              v-model="place.bars"
              :label="`Room on ${place.name}`"
              unit="bars"
              class="w-28"
              :min="1"
              :max="10000"
              :decimals="0"
            />
            <button
              type="button"
              class="link"
              :aria-label="`Remove ${place.name}`"
              @click="draft.places.splice(index, 1)"
            >
              Remove
            </button>
          </li>
        </ul>
        <button type="button" class="link mt-2" @click="addPlace">Add a place</button>
      </section>
      <p v-for="fault in faults" :key="fault.path" role="alert" class="text-stop">
        {{ whereOf(fault.path) }}{{ fault.says }}
      </p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions="{ close }">
      <AppButton @click="close">Cancel</AppButton>
      <AppButton kind="main" @click="done">Keep</AppButton>
    </template>
  </AppDialog>
</template>
