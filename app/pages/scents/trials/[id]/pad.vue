<script setup lang="ts">
import type { WholeTrial } from '#contracts/trial'
import { trialBatters } from '#core/trials/plan'
import { doseFor } from '#core/trials/dose'
import { lyeWeighed } from '#core/formula/pot'

/** A trial day on paper: the pad for the bench, and the labels of its lids, which carry a code and no name. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const { say } = storeToRefs(useWorkshop())
const materials = useMaterials()
const trial = shallowRef<WholeTrial | null>(null)
const problem = ref('')
onMounted(async () => {
  try {
    trial.value = await api.get<WholeTrial>(`/api/trials/${id.value}`)
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
useHead({ title: () => `Pad of trial day ${trial.value?.document.number ?? ''} · Mantle` })
const document = computed(() => trial.value?.document ?? null)
const batters = computed(() =>
  document.value ? trialBatters(document.value, materials.library) : [],
)
const rows = computed(
  () =>
    document.value?.pots.map((pot) => ({
      ...pot,
      dose: pot.scentId === null ? null : doseFor(pot.grams, pot.oilShare, pot.rate),
    })) ?? [],
)
/** Waters differ: then each pot says its own. */
const waters = computed(() => new Set(rows.value.map(({ ratio }) => ratio)).size > 1)
const columns = ['light', 'medium', 'thick', 'won’t pour'] as const
const address = (path: string) => (import.meta.client ? `${location.origin}${path}` : '')
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/scents" label="All scents" />
  <PrintPage v-else-if="document" :title="`Trial day ${document.number}, its pad and labels`">
    <template #actions><AppButton :to="`/scents/trials/${id}`">To the day</AppButton></template>
    <article class="sheet p-6 text-[13px] print:border-0 print:p-0">
      <header class="flex items-start gap-4">
        <div class="flex-1">
          <h2 class="!text-[22px] font-bold !text-ink">
            Trial day {{ document.number }}, {{ document.formula.name }}
          </h2>
          <p class="figure">
            {{ dayText(document.day, { weekday: true, long: true }) }},
            {{ say.count(document.pots.length, 'pot', 'pots') }}, looked at for
            {{ say.count(document.minutes, 'minute', 'minutes') }}
          </p>
          <p v-for="(one, nth) in batters" :key="nth" class="figure mt-1">
            <b>{{ say.amount(one.grams) }} of batter</b
            ><template v-if="batters.length > 1"> at {{ say.ratio(one.ratio) }}</template
            >: oils <b>{{ say.mass(one.result.oils) }}</b>, lye
            <b class="text-stop">{{ say.mass(lyeWeighed(one.result)) }}</b>, water
            <b>{{ say.mass(one.result.water.weighed) }}</b>
          </p>
          <p class="mt-1 font-semibold text-stop">
            Goggles, gloves, long sleeves. Lye into water, lye into oils. Raw batter burns for an
            hour and more. Local rules come first.
          </p>
        </div>
        <div class="w-24 text-center text-[11px]">
          <QrPicture :text="address(`/scents/trials/${id}/paper`)" says="Address to write it up" />
          scan it to write this up
        </div>
      </header>
      <p class="mt-3 flex flex-wrap gap-x-6 gap-y-2 border-2 border-ink px-3 py-2">
        <span v-for="one in ['lye °', 'oils °', 'room °', 'lye and oils met at']" :key="one"
          >{{ one }} <span class="inline-block w-14 border-b border-ink" />
        </span>
      </p>
      <div class="overflow-x-auto" tabindex="0" role="group" aria-label="The pad">
        <table class="mt-3 w-full border-collapse">
          <thead>
            <tr class="border-b-2 border-ink text-left text-[11px]">
              <th class="py-1" scope="col">Code</th>
              <th scope="col">Scent</th>
              <th scope="col">batter</th>
              <th scope="col">scent</th>
              <th scope="col">in at</th>
              <th v-for="one in columns" :key="one" scope="col">{{ one }} at</th>
              <th scope="col">what else</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="row in rows"
              :key="row.code"
              class="break-inside-avoid border-b border-line-3"
            >
              <th scope="row" class="figure py-2.5 text-left text-[16px] underline">
                {{ row.code }}
              </th>
              <td class="max-w-40 pr-2">
                {{ row.scentId ? row.name : 'Plain'
                }}<span v-if="waters" class="figure block text-[11px]">{{
                  say.ratio(row.ratio)
                }}</span>
              </td>
              <td class="figure whitespace-nowrap pr-2 text-[11px]">
                <span class="inline-block w-12 border-b border-ink" /> of
                {{ say.number(row.grams, undefined, 1) }}
              </td>
              <td class="figure whitespace-nowrap pr-2 text-[11px]">
                <template v-if="row.dose !== null"
                  ><span class="inline-block w-12 border-b border-ink" /> of
                  {{ say.number(row.dose, undefined, 2) }}</template
                >
              </td>
              <td class="pr-2"><span class="inline-block w-10 border-b border-ink" /></td>
              <td v-for="one in columns" :key="one" class="pr-2">
                <span class="inline-block w-10 border-b border-ink" />
              </td>
              <td class="w-28"><span class="inline-block w-full border-b border-ink" /></td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="mt-2 text-[11px]">
        Minutes on one clock since lye and oils met. What else: R rices, S seizes, L loosens, P
        separates, with its minute; a question mark when unsure.
      </p>
    </article>
    <article class="sheet mt-6 p-6 print:mt-0 print:break-before-page print:border-0 print:p-0">
      <h2 class="no-print mb-3">Labels for the lids</h2>
      <ul class="grid grid-cols-1 gap-0 sm:grid-cols-4 print:grid-cols-4">
        <li
          v-for="row in rows"
          :key="row.code"
          class="flex break-inside-avoid items-center gap-2 border border-dashed border-line-3 p-2"
        >
          <div class="min-w-0 flex-1">
            <b class="figure block text-[26px] leading-8 underline underline-offset-4">{{
              row.code
            }}</b>
            <span class="figure block text-[11px]"
              >day {{ document.number }}, {{ dayText(document.day, { today: '0000' }) }}</span
            >
            <span class="block text-[11px]">raw soap: gloves</span>
          </div>
          <QrPicture
            class="w-14 shrink-0"
            :text="address('/scents/sniffing')"
            says="Address of the round of noses"
          />
        </li>
      </ul>
      <p class="no-print mt-2 text-[13px] text-ink-2">
        A label carries no name: noses are to be blind. Its code leads to the round of noses.
      </p>
    </article>
  </PrintPage>
</template>
