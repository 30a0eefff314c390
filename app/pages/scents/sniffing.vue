<script setup lang="ts">
import type { Revealed, Sniffing } from '#contracts/sniffing'
import type { Strength } from '#contracts/trialWords'
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
}
const key = computed(() => `mantle-sniffing-${round.value?.id ?? ''}`)
const nose = ref('')
const asked = ref('')
const answers = ref<Record<string, Strength>>({})
function takeUp() {
  const kept = keptHere(key.value, (value) => {
    const { nose: whose, answers: given } = value as Partial<Draft>
    return typeof whose === 'string' && given && typeof given === 'object' ? (value as Draft) : null
  })
  if (!kept) return
  nose.value = kept.nose
  answers.value = kept.answers
}
function begin() {
  const whose = asked.value.trim()
  if (!whose) return
  nose.value = whose
  answers.value = {}
  asked.value = ''
}
watch([nose, answers], () => {
  if (nose.value) keepHere(key.value, { nose: nose.value, answers: answers.value })
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
/** Plain air every few jars: noses tire. */
const rest = computed(() => at.value > 0 && at.value % 5 === 0)
const words = ['gone', 'weak', 'clear', 'strong'] as const
function write(strength: Strength) {
  if (!jar.value) return
  answers.value = { ...answers.value, [jar.value]: strength }
}
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
    })
    forgetHere(key.value)
    nose.value = ''
    answers.value = {}
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
  '1': () => write(0),
  '2': () => write(1),
  '3': () => write(2),
  '4': () => write(3),
  z: takeBack,
})
const rows = computed(() =>
  [...(revealed.value?.jars ?? [])]
    .map((one) => {
      const counted = one.strengths.filter(
        (strength, place): strength is Strength =>
          strength !== null && !revealed.value!.apart.includes(revealed.value!.noses[place]!),
      )
      return {
        ...one,
        mean: counted.length
          ? counted.reduce<number>((sum, value) => sum + value, 0) / counted.length
          : null,
      }
    })
    .sort((a, b) => (b.mean ?? -1) - (a.mean ?? -1)),
)
</script>

<template>
  <div class="mx-auto max-w-[980px] px-4 py-4 sm:px-6">
    <h1>Sniffing</h1>
    <EmptyState v-if="problem" title="No round of noses">
      {{ problem }}
      <template #actions><AppButton to="/scents">All scents</AppButton></template>
    </EmptyState>
    <template v-else-if="revealed">
      <p class="text-ink-2">
        {{ say.count(rows.length, 'jar', 'jars') }},
        {{ say.count(revealed.noses.length, 'nose', 'noses') }}. It counts for their scents now.
      </p>
      <p v-for="one in revealed.apart" :key="one" class="mt-2 font-semibold text-warn">
        {{ one }} smelt something in plain soap: that round is kept, and set apart.
      </p>
      <table class="sheet mt-3 w-full">
        <thead>
          <tr class="text-left text-ink-2">
            <th scope="col" class="px-4 py-2">Jar</th>
            <th scope="col">It was</th>
            <th scope="col">Day</th>
            <th v-for="one in revealed.noses" :key="one" scope="col">{{ one }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.code" class="border-t border-line-2">
            <td class="figure px-4 py-1.5 font-bold underline underline-offset-2">
              {{ row.code }}
            </td>
            <td>
              <NuxtLink
                v-if="row.scentId"
                :to="`/scents/${row.scentId}`"
                class="font-bold hover:underline"
                >{{ row.name }}</NuxtLink
              >
              <span v-else class="text-ink-2">plain</span>
            </td>
            <td class="figure">{{ row.day }}</td>
            <td v-for="(strength, place) in row.strengths" :key="place">
              {{ strength === null ? '–' : words[strength] }}
            </td>
          </tr>
        </tbody>
      </table>
      <AppButton to="/scents" class="mt-3">All scents</AppButton>
    </template>
    <template v-else-if="round">
      <template v-if="!nose">
        <p class="text-ink-2">
          {{ say.count(round.jars.length, 'jar', 'jars') }} in a row, lids on, codes to the front.
          Each nose gets them in an order of its own; nobody is told what they are.
        </p>
        <section class="sheet mt-3 px-5 py-4">
          <h2 class="text-[18px] font-bold">Whose nose is next?</h2>
          <ul v-if="round.noses.length" class="my-2">
            <li v-for="one in round.noses" :key="one.nose">
              <b>{{ one.nose }}</b> is through, {{ say.count(one.jars, 'jar', 'jars') }}.
            </li>
          </ul>
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
      </template>
      <section v-else class="sheet mt-3 px-5 py-6 text-center">
        <p class="text-ink-2">
          {{ nose }}: {{ say.number(Math.max(0, at < 0 ? order.length : at)) }} of
          {{ say.number(order.length) }}
        </p>
        <template v-if="jar">
          <p v-if="rest" role="status" class="mt-2 font-semibold text-act">
            Plain air first: a few breaths away from the jars.
          </p>
          <svg viewBox="0 0 120 120" class="mx-auto mt-3 h-40" aria-hidden="true">
            <path d="M22 26 H98 L88 112 H32 Z" fill="#3a4749" stroke="#182022" stroke-width="2" />
            <path d="M16 14 H104 V28 H16 Z" fill="#8a9794" />
          </svg>
          <p
            class="figure text-[52px] leading-none font-bold underline underline-offset-8"
            aria-live="polite"
          >
            {{ jar }}
          </p>
          <p class="mt-5 text-ink-2">Lid off, one breath, lid on. How strong is it?</p>
          <div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
            <button
              v-for="(word, strength) in words"
              :key="word"
              type="button"
              class="min-h-20 rounded-sm border border-line-3 bg-field text-[19px] font-bold text-on-field hover:border-ink"
              @click="write(strength as Strength)"
            >
              {{ word }}
              <kbd class="ml-1 max-sm:hidden">{{ strength + 1 }}</kbd>
            </button>
          </div>
        </template>
        <template v-else>
          <p class="mt-3 text-[22px] font-bold">That was the last jar.</p>
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
        </template>
        <p class="mt-4">
          <button v-if="before" type="button" class="link" @click="takeBack">
            Back to {{ before }} ({{ strengthText(answers[before] ?? 0) }})
          </button>
        </p>
      </section>
    </template>
  </div>
</template>
