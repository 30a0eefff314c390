<script setup lang="ts">
import type { Revealed, Said, Sniffing } from '#contracts/sniffing'
import { sniffWords, type SniffWord, type Strength } from '#contracts/trialWords'
import { sniffingOrder } from '#core/scents/noses'
import { strengthText } from '#core/scents/finding'
import { randomSource, seedFrom } from '#core/statistics/randomSource'

/*
 * Noses at the jars, blind: nothing on this page, nor in what it reads, says which jar is which scent before the last nose is through.
 */
useHead({ title: 'Sniffing · Mantle' })
const { say } = storeToRefs(useWorkshop())
const toasts = useToasts()
const round = shallowRef<Sniffing | null>(null)
const revealed = shallowRef<Revealed | null>(null)
const problem = ref('')
const loaded = ref(false)

onMounted(async () => {
  try {
    const { open } = await api.get<{ open: Sniffing | null }>('/api/sniffing')
    round.value = open ?? (await api.post<Sniffing>('/api/sniffing', {}))
    takeUp()
  } catch (error) {
    problem.value = sentenceOf(error)
  }
  loaded.value = true
})

/* What a nose has written so far stays on this device, for a reload. */
interface Draft {
  nose: string
  answers: Record<string, Strength>
  said?: Record<string, Said>
}
const key = computed(() => `mantle-sniffing-${round.value?.id ?? ''}`)
const nose = ref('')
const asked = ref('')
const answers = ref<Record<string, Strength>>({})
/** What is said of a jar besides: before its strength, so that it waits for the answer. */
const said = ref<Record<string, Said>>({})
function takeUp() {
  const kept = keptHere(key.value, (value) => {
    const { nose: whose, answers: given } = value as Partial<Draft>
    return typeof whose === 'string' && given && typeof given === 'object' ? (value as Draft) : null
  })
  if (!kept) return
  nose.value = kept.nose
  answers.value = kept.answers
  said.value = kept.said ?? {}
}
function begin() {
  const whose = asked.value.trim()
  if (!whose) return
  nose.value = whose
  answers.value = {}
  said.value = {}
  asked.value = ''
}
watch([nose, answers, said], () => {
  if (nose.value)
    keepHere(key.value, { nose: nose.value, answers: answers.value, said: said.value })
})
const order = computed(() =>
  round.value && nose.value
    ? sniffingOrder(round.value.jars, randomSource(seedFrom(`${round.value.id} ${nose.value}`)))
    : [],
)
const at = computed(() => order.value.findIndex((code) => answers.value[code] === undefined))
const jar = computed(() => order.value[at.value] ?? null)
const before = computed(
  () => order.value[(at.value < 0 ? order.value.length : at.value) - 1] ?? null,
)
/** Plain air after so many jars: noses tire (judgement). */
const restEvery = 5
const rest = computed(() => at.value > 0 && at.value % restEvery === 0)
const words = ['gone', 'weak', 'clear', 'strong'] as const
function write(strength: Strength) {
  if (!jar.value) return
  answers.value = { ...answers.value, [jar.value]: strength }
}
function saying(part: Partial<Said>) {
  if (jar.value) said.value = { ...said.value, [jar.value]: { ...held.value, ...part } }
}
const turnWord = (word: SniffWord) =>
  saying({
    words: held.value.words.includes(word)
      ? held.value.words.filter((one) => one !== word)
      : [...held.value.words, word],
  })
function takeBack() {
  if (!before.value) return
  const { [before.value]: _, ...others } = answers.value
  answers.value = others
}
const busy = ref(false)
async function through() {
  if (!round.value || busy.value) return
  busy.value = true
  try {
    round.value = await api.post<Sniffing>(`/api/sniffing/${round.value.id}/sniffs`, {
      nose: nose.value,
      answers: answers.value,
      said: Object.fromEntries(
        Object.entries(said.value).filter(([code]) => answers.value[code] !== undefined),
      ),
    })
    forgetHere(key.value)
    nose.value = ''
    answers.value = {}
    said.value = {}
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
const jars = useJarsDue()
async function reveal() {
  if (!round.value || busy.value) return
  busy.value = true
  try {
    revealed.value = await api.post<Revealed>(`/api/sniffing/${round.value.id}/names`, {})
    void jars.load()
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
useShortcuts({
  '0': () => write(0),
  '1': () => write(1),
  '2': () => write(2),
  '3': () => write(3),
  '?': () => saying({ unsure: !held.value.unsure }),
  z: takeBack,
})
const held = computed(() => said.value[jar.value ?? ''] ?? { unsure: false, words: [] })
const air = computed(() => restEvery - (Math.max(0, at.value) % restEvery))
</script>

<template>
  <div class="mx-auto max-w-[980px] px-4 py-4 sm:px-6">
    <NamesTold v-if="revealed" :revealed="revealed" />
    <template v-else>
      <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>Sniffing round</h1>
        <p v-if="nose && jar" class="figure mr-auto text-ink-2" aria-live="polite">
          {{ nose }}: jar {{ at + 1 }} of {{ order.length }}
        </p>
        <ul v-if="round" class="ml-auto flex flex-wrap gap-2" aria-label="Noses">
          <li
            v-for="one in round.noses"
            :key="one.nose"
            class="border border-line-3 px-3 py-1.5 font-[550]"
            :title="say.count(one.jars, 'jar', 'jars')"
          >
            {{ one.nose }} ✓
          </li>
          <li v-if="nose" class="bg-slate px-3 py-1.5 font-bold text-chalk">{{ nose }}’s nose</li>
        </ul>
      </header>
      <EmptyState v-if="problem" title="No round of noses">
        {{ problem }}
        <template #actions><AppButton to="/scents">All scents</AppButton></template>
      </EmptyState>
      <template v-else-if="round">
        <ol
          class="mt-3 flex items-end gap-1 overflow-hidden border-b-8 border-[#7d8986] px-1"
          aria-hidden="true"
        >
          <li
            v-for="(code, nth) in nose ? order : round.jars"
            :key="code"
            class="max-w-[58px] min-w-0 flex-1"
          >
            <SniffJar
              :code="nth === at ? code : ''"
              :state="!nose ? 'shut' : nth === at ? 'open' : at < 0 || nth < at ? 'done' : 'shut'"
            />
          </li>
        </ol>
        <section v-if="!nose" class="sheet mt-4 px-5 py-4">
          <p class="text-ink-2">
            {{ say.count(round.jars.length, 'jar', 'jars') }} in a row, lids on, codes to the front.
            Each nose gets them in an order of its own; nobody is told what they are.
          </p>
          <h2 class="mt-3 text-[18px] font-bold">Whose nose is next?</h2>
          <form class="mt-2 flex flex-wrap gap-2" @submit.prevent="begin">
            <input
              v-model="asked"
              class="field !w-64"
              maxlength="60"
              placeholder="Name"
              aria-label="Whose nose is next"
            />
            <AppButton kind="main" @click="begin">Begin</AppButton>
          </form>
          <p class="mt-3 text-ink-2">
            Who reacts to scents, is pregnant or has a cold lets others sniff.
          </p>
          <AppButton v-if="round.noses.length" class="mt-3" :disabled="busy" @click="reveal"
            >No more noses: tell the names</AppButton
          >
        </section>
        <template v-else-if="jar">
          <div class="mt-5 grid items-center gap-6 sm:grid-cols-[1fr_1fr]">
            <div class="mx-auto w-full max-w-[330px]">
              <SmellWaves :strength="3" class="mx-auto w-3/4 opacity-60" />
              <SniffJar class="w-full" :code="jar" state="open" />
            </div>
            <div>
              <p v-if="rest" role="status" class="mb-3 text-[18px] font-semibold text-act">
                Half a minute of plain air first, away from the jars.
              </p>
              <h2 class="!text-[32px] leading-[1.25] font-bold !text-ink">
                Shut your eyes, open it, one breath.
              </h2>
              <p class="mt-2 text-[18px] text-ink-2">
                Its colour could give it away. Close the lid before you answer.
              </p>
            </div>
          </div>
          <h3 class="mt-5 text-[20px] font-bold">
            How much scent is left in <span class="figure">{{ jar }}</span>?
          </h3>
          <div class="mt-2 grid grid-cols-4 gap-2 sm:gap-3">
            <button
              v-for="(word, strength) in words"
              :key="word"
              type="button"
              class="relative flex min-h-32 flex-col items-center justify-end rounded-sm border-2 border-ink bg-field pb-3 text-on-field hover:bg-band"
              @click="write(strength as Strength)"
            >
              <span class="figure absolute top-2 left-3 text-[14px] max-sm:hidden">{{
                strength
              }}</span>
              <SmellWaves :strength="strength" class="w-16 sm:w-24" />
              <svg viewBox="0 0 60 34" class="w-12 sm:w-16" aria-hidden="true">
                <path
                  d="M4 3 H56 L49 31 H11 Z"
                  fill="none"
                  stroke="currentColor"
                  stroke-width="3"
                />
              </svg>
              <b class="mt-1 text-[17px] sm:text-[22px]">{{ word }}</b>
            </button>
          </div>
          <div class="mt-3 flex flex-wrap gap-2">
            <button
              v-for="word in sniffWords"
              :key="word"
              type="button"
              class="min-h-11 rounded-sm border px-4 font-[550]"
              :class="
                held.words.includes(word)
                  ? 'border-[#8d6aa8] bg-[#eae2f0] text-[#182022] outline outline-[#8d6aa8]'
                  : 'border-line-3 bg-field text-on-field'
              "
              :aria-pressed="held.words.includes(word)"
              @click="turnWord(word)"
            >
              {{ word }}
            </button>
            <button
              type="button"
              class="ml-auto min-h-11 rounded-sm border px-4 font-[550]"
              :class="
                held.unsure
                  ? 'border-warn bg-warn-ground text-warn outline'
                  : 'border-line-3 bg-field text-on-field'
              "
              :aria-pressed="held.unsure"
              @click="saying({ unsure: !held.unsure })"
            >
              not sure ?
            </button>
          </div>
        </template>
        <section v-else class="sheet mt-4 px-5 py-6 text-center">
          <p class="text-[22px] font-bold">That was the last jar.</p>
          <p class="text-ink-2">
            {{
              say.list(
                words.map(
                  (word, strength) =>
                    `${say.number(Object.values(answers).filter((one) => one === strength).length)} ${word}`,
                ),
              )
            }}
          </p>
          <AppButton kind="main" class="mt-4" :disabled="busy" @click="through"
            >{{ nose }} is through</AppButton
          >
        </section>
        <footer
          v-if="nose"
          class="mt-5 flex flex-wrap items-center gap-4 border-t border-line pt-4"
        >
          <AppButton v-if="before" @click="takeBack"
            >← Back to {{ before }} ({{ strengthText(answers[before] ?? 0) }})</AppButton
          >
          <p class="min-w-0 flex-1 basis-52 text-ink-2">
            <template v-if="jar && order.length - at > air"
              >After {{ say.number(air) }} more, <b>half a minute of plain air</b> for your nose. </template
            >Names come when the last nose is through.
          </p>
          <AppButton to="/">Pause</AppButton>
        </footer>
      </template>
    </template>
  </div>
</template>
