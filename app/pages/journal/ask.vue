<script setup lang="ts">
import { capital, inSentence } from '#core/units/language'
import type { Within } from '#contracts/learning'
import { trusts, type Answer } from '#core/learning/answer'

/** A question to the workshop's own records, and what they answer. */
useHead({ title: 'Ask the journal · Mantle' })
const {
  records,
  ready,
  problem,
  load,
  typed,
  read,
  lacks,
  asked,
  pair,
  version,
  since,
  purpose,
  causes,
  outcomes,
  formulaNames,
  pick,
  ask,
  clear,
  answer,
  unknown,
  counting: isCounting,
  next,
  begun,
  first,
  both,
  held,
  choosePair,
  settling,
  planPair,
  makeVersion,
  busy,
} = useAsk()
onMounted(load)
const { say, today } = storeToRefs(useWorkshop())
const box = useTemplateRef<HTMLInputElement>('box')
useShortcuts({ f: () => box.value?.focus() })

/** The sentence in stretches, those that were understood told apart. */
const stretches = computed(() => {
  const parts: { text: string; known: boolean }[] = []
  let at = 0
  for (const { start, end } of read.value.meant) {
    if (start < at) continue
    parts.push({ text: typed.value.slice(at, start), known: false })
    parts.push({ text: typed.value.slice(start, end), known: true })
    at = end
  }
  return [...parts, { text: typed.value.slice(at), known: false }]
})
const picking = ref(false)
const chosen = (event: Event) => (event.target as HTMLSelectElement).value
const within = (changes: Partial<Within>) =>
  pick({
    within: {
      ...(asked.value?.within ?? { formulaId: null, gel: 'any', since: null }),
      ...changes,
    },
  })
const word =
  'max-w-56 [field-sizing:content] cursor-pointer rounded-sm border-0 border-b border-line-3 bg-transparent px-0.5 font-[650] text-ink'
const firstCause = computed(() => read.value.cause ?? '')
const firstOutcome = computed(() => read.value.outcome ?? '')
/** The months since which batches may be asked, from the first of all; a day that was typed is one of them. */
const months = computed((): [day: string, says: string][] => {
  if (!first.value) return []
  const [year, month] = first.value.split('-').map(Number) as [number, number]
  const count =
    (Number(today.value.slice(0, 4)) - year) * 12 + Number(today.value.slice(5, 7)) - month
  const days = Array.from({ length: Math.max(0, count) }, (_, nth) => {
    const at = month + nth
    return `${year + Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}-01`
  })
  const typedDay = asked.value?.within.since
  const all = typedDay && !days.includes(typedDay) ? [...days, typedDay].sort() : days
  return [
    ['', monthText(first.value, '')],
    ...all.map((day): [string, string] => [
      day,
      day.endsWith('-01') ? monthText(day, '') : dayText(day, { today: '' }),
    ]),
  ]
})
const counting = ref(false)
const countOf = (one: Answer) =>
  one.kind === 'trend'
    ? say.value.number(one.sides.reduce((sum, { points }) => sum + points.length, 0))
    : say.value.list(
        one.sides.map(({ points }) => say.value.number(points.length)),
        'and',
      )
const nextSays = (one: Answer) =>
  `${capital(one.cause.short)} and ${one.outcome.short}${one.asked.within.formulaId ? `, ${formulaNames.value.find(({ id }) => id === one.asked.within.formulaId)?.name ?? ''} only` : ''}`
const sides = computed(() => {
  const one = answer.value
  if (!one) return ''
  return `${inSentence(one.sides[0]!.says)}, left · ${inSentence(one.sides[1]!.says)}, right`
})
const nothing = computed(() => ready.value && !records.value.length)
const faces = computed(() => {
  const own = records.value.findLast(({ formulaId }) => formulaId === settling.value?.formulaId)
  return own ? [own.thumbnail, own.thumbnail] : []
})
const pairOutcomes = computed(() => outcomes.value)
</script>

<template>
  <div class="mx-auto max-w-[1400px] px-4 pt-4 pb-6 sm:px-6">
    <h1 class="sr-only">Ask the journal</h1>
    <form class="flex flex-wrap items-center gap-x-6 gap-y-3" @submit.prevent="ask">
      <div class="relative min-w-0 flex-1 basis-80 lg:max-w-[816px]">
        <div
          class="pointer-events-none absolute inset-x-4 top-0 flex h-14 items-center overflow-hidden text-[19px] whitespace-pre text-transparent"
          aria-hidden="true"
        >
          <span
            ><span
              v-for="(part, nth) in stretches"
              :key="nth"
              :class="part.known ? 'border-b-[3px] border-on-field pb-px' : ''"
              >{{ part.text }}</span
            ></span
          >
        </div>
        <input
          ref="box"
          v-model="typed"
          type="search"
          class="min-h-14 w-full rounded-md border-2 border-ink bg-field px-4 text-[19px] text-on-field"
          aria-label="Ask the journal"
          placeholder="Does citric keep a loaf longer in the mould?"
          maxlength="200"
          autocomplete="off"
          @keydown.esc="clear"
        />
        <kbd class="absolute top-4 right-4 text-ink-2 max-sm:hidden">Enter</kbd>
      </div>
      <div class="flex flex-wrap items-center gap-x-6 gap-y-2 lg:ml-auto">
        <button type="button" class="link" :aria-expanded="picking" @click="picking = !picking">
          Pick instead
        </button>
        <AppButton to="/journal">Back to the book</AppButton>
      </div>
    </form>
    <p v-if="problem" role="alert" class="mt-3 font-semibold text-stop">{{ problem }}</p>
    <p v-if="answer && typed && read.left.length" class="mt-2 px-4 text-[13.5px] text-ink-2">
      Passed over: {{ say.list(read.left) }}.
    </p>
    <p v-if="lacks" role="status" class="mt-2 px-4 font-semibold">{{ lacks }}</p>
    <p
      v-if="ready && records.length && (asked || picking || lacks)"
      class="mt-2 flex flex-wrap items-baseline gap-x-2 gap-y-1 px-4 text-[13.5px] text-ink-2"
    >
      Read as
      <select
        :class="word"
        aria-label="What may it come from"
        :value="asked?.cause ?? firstCause"
        @change="pick({ cause: chosen($event) })"
      >
        <option value="" disabled>what may it come from?</option>
        <option v-for="one in causes" :key="one.id" :value="one.id">{{ one.says }}</option>
      </select>
      against
      <select
        :class="word"
        aria-label="What came of it"
        :value="asked?.outcome ?? firstOutcome"
        @change="pick({ outcome: chosen($event) })"
      >
        <option value="" disabled>what came of it?</option>
        <option v-for="one in outcomes" :key="one.id" :value="one.id">{{ one.says }}</option>
      </select>
      in
      <select
        :class="word"
        aria-label="Which formula"
        :value="asked?.within.formulaId ?? ''"
        @change="within({ formulaId: chosen($event) || null })"
      >
        <option value="">all soaps</option>
        <option v-for="one in formulaNames" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
      <select
        :class="word"
        aria-label="Gelled or not"
        :value="asked?.within.gel ?? 'any'"
        @change="within({ gel: chosen($event) as Within['gel'] })"
      >
        <option value="any">that gelled or not</option>
        <option value="gelled">that gelled</option>
        <option value="not">that did not gel</option>
      </select>
      since
      <select
        :class="word"
        aria-label="Since"
        :value="asked?.within.since ?? ''"
        @change="within({ since: chosen($event) || null })"
      >
        <option v-for="[day, says] in months" :key="day" :value="day">{{ says }}</option>
      </select>
    </p>
    <p
      v-if="version && since"
      class="mt-2 flex flex-wrap items-baseline gap-x-2 px-4 text-[13.5px] text-ink-2"
    >
      Read as
      <b class="text-ink">version {{ since.version.number }}, {{ since.version.name }}</b>
      <template v-if="since.version.purpose">meant for “{{ since.version.purpose }}”,</template>
      against
      <select
        :class="word"
        aria-label="What it was for"
        :value="purpose ?? ''"
        @change="version = { ...version, outcome: chosen($event) }"
      >
        <option value="" disabled>what was it for?</option>
        <option v-for="one in outcomes" :key="one.id" :value="one.id">{{ one.says }}</option>
      </select>
    </p>
    <p v-if="version && ready && !since && !problem" role="status" class="mt-2 px-4">
      No such version of that formula is kept.
    </p>

    <div v-if="nothing" class="sheet mt-4 max-w-xl px-6 py-5">
      <h2>No batch is poured yet.</h2>
      <p class="mt-1">
        The answers come from your own batches: what went in, at what temperature, when it left the
        mould, when it was dry. From three of a kind on they begin to say something.
      </p>
    </div>
    <p v-else-if="isCounting && (asked || version)" class="mt-4 px-4 text-ink-2" role="status">
      Counting…
    </p>
    <p v-else-if="unknown" class="mt-4 px-4">
      Nothing in your records is called that. Pick it from the lists above.
    </p>
    <section
      v-else-if="answer"
      class="mt-3 grid grid-cols-1 rounded-sm bg-slate-2 p-2 lg:grid-cols-[minmax(0,776fr)_minmax(0,440fr)]"
      aria-label="The answer"
    >
      <div class="bg-sheet px-5 pt-6 pb-6 sm:px-8" data-sheet>
        <h2 class="!text-[26px] !leading-tight font-bold !text-ink sm:!text-[29px]" role="status">
          {{ answer.title }}
        </h2>
        <p class="mt-1 text-[15px] text-ink-2">{{ answer.rests }}</p>
        <p v-if="since && since.changed > 1" class="mt-1 text-[15px]">
          {{ say.count(since.changed, 'thing was', 'things were') }} changed with that version:
          which of them it was cannot be told.
        </p>
        <AnswerPlanks v-if="answer.kind === 'groups'" class="mt-4" :answer="answer" />
        <AnswerShares v-else-if="answer.kind === 'shares'" class="mt-4" :answer="answer" />
        <AnswerTrend v-else class="mt-4" :answer="answer" />
        <p v-if="answer.kind === 'groups' && answer.shift" class="mt-2 text-[13.5px] text-ink-2">
          Each of the {{ say.number(answer.sides[0]!.points.length) }} is set against each of the
          {{ say.number(answer.sides[1]!.points.length) }}. The middle of those
          {{ say.number(answer.sides[0]!.points.length * answer.sides[1]!.points.length) }}
          differences is
          {{ answer.axis.apart(Math.abs(answer.shift.at), say) }}.
          <button type="button" class="link whitespace-nowrap" @click="counting = true">
            Count it by hand
          </button>
        </p>
        <div v-if="next.length" class="mt-6 border-t border-line pt-3">
          <h2>Next to this question</h2>
          <ul class="mt-2 grid gap-x-6 gap-y-3 text-[14px] sm:grid-cols-3">
            <li v-for="one in next" :key="JSON.stringify(one.asked)">
              <button type="button" class="link text-left" @click="pick(one.asked)">
                {{ nextSays(one) }}
              </button>
              <p>
                <b>{{ capital(one.shortly) }}</b>
                <span class="ml-1 text-ink-2">{{ countOf(one) }}</span>
              </p>
            </li>
          </ul>
        </div>
      </div>
      <div
        class="border-line-3 bg-sheet px-5 pt-6 pb-6 max-lg:border-t-2 lg:border-l-2 lg:border-dashed"
      >
        <h2>How far to trust it</h2>
        <ol class="mt-3 grid grid-cols-4 border border-line text-center text-[13px]">
          <li
            v-for="one in trusts"
            :key="one"
            class="border-line py-1.5 not-first:border-l"
            :class="one === answer.trust ? 'bg-ink font-[650] text-sheet' : 'text-ink-2'"
            :aria-current="one === answer.trust ? 'true' : undefined"
          >
            {{ one }}
          </li>
        </ol>
        <p class="mt-3 text-[15px]">{{ answer.trustSays }}</p>
        <template v-if="answer.imbalances.length">
          <h2 class="mt-6 flex flex-wrap items-baseline justify-between gap-x-3">
            What else differed
            <span class="text-[12.5px] font-normal text-ink-2">{{ sides }}</span>
          </h2>
          <ul class="mt-1">
            <li
              v-for="one in answer.imbalances"
              :key="one.id"
              class="grid grid-cols-[76px_1fr] items-center gap-3 border-t border-line-2 py-2 text-[13.5px]"
            >
              <BeamBalance :tilt="one.tilt" />
              <div>
                <b>{{ one.says }}</b><br /><span class="text-ink-2">{{ one.because }}</span>
              </div>
            </li>
          </ul>
        </template>
        <ul v-if="answer.leftOut.length" class="border-t border-line-2 pt-2 text-[13.5px]">
          <li v-for="one in answer.leftOut" :key="one.says">
            <b>Left out: {{ say.count(one.batches, 'batch', 'batches') }}</b>
            <span class="ml-1 text-ink-2">that {{ one.says }}</span>
          </li>
        </ul>
        <div v-if="settling" class="mt-6">
          <div class="mb-4 flex items-center gap-3">
            <BarThumbnail v-for="(face, nth) in faces" :key="nth" :thumbnail="face" />
            <p class="text-[13.5px]">
              <b>{{ settling.name }} twice in one day</b><br /><span class="text-ink-2"
                >all the same, one of them {{ settling.says }}</span
              >
            </p>
          </div>
          <AppButton kind="main" class="w-full justify-center" :disabled="busy" @click="planPair"
            >Plan the pair that settles it</AppButton
          >
        </div>
        <p v-else-if="answer.trust !== 'settled' && asked" class="mt-6 text-[13.5px] text-ink-2">
          {{ capital(answer.cause.short) }} cannot be planned as a pair: it settles as batches come,
          or by splitting one batch.
        </p>
      </div>
    </section>
    <PairHeld
      v-else-if="pair && both && held"
      class="mt-3"
      :batches="both"
      :held="held"
      :outcomes="pairOutcomes"
      :busy="busy"
      @outcome="(id) => choosePair(pair!.numbers, id)"
      @version="makeVersion"
    />
    <section v-else-if="ready && !asked && !pair && !version" class="sheet mt-4 px-6 py-5">
      <h2>Asked often</h2>
      <ul class="mt-2 grid gap-x-8 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">
        <li v-for="one in begun" :key="one.says">
          <button type="button" class="link text-left text-[15px]" @click="pick(one.answer.asked)">
            {{ one.says }}
          </button>
          <p class="text-[13.5px]">
            <b>{{ capital(one.answer.shortly) }}</b>
            <span class="ml-1 text-ink-2">{{ countOf(one.answer) }}</span>
          </p>
        </li>
      </ul>
      <p class="mt-5 text-ink-2">
        Or in words of your own: a formula over time (“Hostel Bar days to dry over time”), two
        batches (“18 against 20”), whether a change did what it was for (“did version 2 of Hostel
        Bar help the scum ring”).
      </p>
    </section>
    <CountByHand v-if="counting && answer" v-model="counting" :answer="answer" />
  </div>
</template>
