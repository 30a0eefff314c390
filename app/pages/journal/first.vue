<script setup lang="ts">
import { planks, type Plank } from '#contracts/firstSoap'
import { Check, Minus, X } from '@lucide/vue'

/** The first soap, plank by plank: what the kitchen has, no scent, a dry run with blue water, a rehearsal, and the days after it. */
const first = useFirstSoap()
const {
  loaded,
  stored,
  path,
  kitchen,
  weights,
  lines,
  goes,
  done,
  here,
  at,
  chosen,
  batch,
  blocked,
} = first
const { formula, answers } = first
const { today, say } = storeToRefs(useWorkshop())
const route = useRoute()
const router = useRouter()
useHead({ title: 'The first soap · Mantle' })
onMounted(first.load)
const title = computed(() => (path.value.who ? `${path.value.who}’s first soap` : 'The first soap'))
const asked = ref('')
async function worry() {
  if (!asked.value.trim()) return
  if (await first.worry(asked.value)) asked.value = ''
}
const whyNoScent = ref(false)
const whyNone = ref(false)
/** Something is to be had before the lye is opened; planks before that may be walked. */
const locked = computed(() => blocked.value && at.value === 'batch')
const numberOf = (plank: Plank) => planks.indexOf(plank) + 1
const rehearsed = computed(() => route.query.rehearsed === '1')
async function leave() {
  await first.leave()
  await router.push('/journal')
}
</script>

<template>
  <div class="mx-auto max-w-[1400px] px-4 pt-4 pb-6 sm:px-6">
    <div class="flex flex-wrap items-start justify-between gap-3">
      <div>
        <h1>{{ title }}</h1>
        <p class="mt-1 text-ink-2">
          <span class="sm:hidden">Plank {{ numberOf(at) }} of 9. </span
          ><span class="max-sm:hidden">Nine planks, up to the mantle. </span>Stop on any of them: it
          waits, as long as you like.
        </p>
      </div>
      <AppButton
        v-if="stored"
        class="max-sm:!border-0 max-sm:!bg-transparent max-sm:!p-0 max-sm:underline"
        @click="leave"
        >Leave the path</AppButton
      >
    </div>
    <template v-if="loaded">
      <PathPlanks
        class="mt-2"
        :done="done"
        :at="at"
        :here="here"
        @choose="(plank) => (chosen = plank)"
      />
      <div
        class="grid rounded-sm bg-slate-2 p-2 lg:grid-cols-[minmax(260px,340px)_minmax(0,1fr)_minmax(280px,420px)]"
      >
        <section
          class="order-3 bg-sheet px-5 py-4 max-lg:border-t max-lg:border-line lg:order-1 lg:border-r lg:border-line"
          aria-label="What this kitchen has"
        >
          <h2 class="flex justify-between gap-3">
            What this kitchen has
            <button v-if="kitchen" type="button" class="link" @click="chosen = 'kitchen'">
              Change
            </button>
          </h2>
          <p v-if="!kitchen" class="mt-1 text-ink-2">Not said yet: the first plank asks it.</p>
          <ul class="mt-1">
            <li
              v-for="line in lines"
              :key="line.says"
              class="grid grid-cols-[32px_1fr] border-b border-line-2 py-2"
            >
              <Check v-if="line.has === 'yes'" :size="20" class="text-ok" aria-label="yes" />
              <X v-else-if="line.has === 'never'" :size="20" class="text-stop" aria-label="never" />
              <Minus v-else :size="20" class="text-ink-2" aria-label="no" />
              <span
                ><b class="font-[650]">{{ line.says }}</b>
                <span class="block text-[13.5px] text-ink-2">{{ line.so }}</span></span
              >
            </li>
          </ul>
          <p class="mt-3 text-[13.5px] text-ink-2">
            No scent in the first one.
            <button type="button" class="link" @click="whyNoScent = !whyNoScent">Why?</button>
            <span v-if="whyNoScent" class="block text-ink"
              >Some scents thicken a batter in seconds, and a first batter should wait for you. Once
              you know how it behaves without one, the second may have it.</span
            >
          </p>
        </section>

        <section class="order-1 bg-sheet px-5 py-4 lg:order-2" aria-label="This plank">
          <p
            v-if="locked"
            role="alert"
            class="mb-3 border-l-4 border-stop pl-3 font-semibold text-stop"
          >
            {{ blocked }} Everything else can be done meanwhile.
          </p>
          <template v-if="at === 'kitchen'">
            <h2 class="text-[22px] leading-tight font-bold text-ink">
              What does your kitchen have?
            </h2>
            <p class="mt-1 mb-3">Nothing has to be bought but goggles, gloves and the lye.</p>
            <KitchenForm :kitchen="kitchen" :who="path.who" @keep="first.keepKitchen" />
          </template>
          <template v-else-if="at === 'formula'">
            <h2 class="text-[22px] leading-tight font-bold text-ink">A calm formula</h2>
            <p class="mt-1">
              Olive oil for mildness, coconut oil for foam: both can be had anywhere, and the batter
              waits for you. More of the oils stays free than usual, so that a scale in coarse steps
              is near enough.
            </p>
            <dl v-if="weights" class="figure mt-3 grid max-w-md grid-cols-[1fr_auto] gap-y-1">
              <template v-for="fat in weights.result.fats" :key="fat.id">
                <dt>{{ fat.name.split(',')[0] }}</dt>
                <dd class="text-right font-bold">{{ say.mass(fat.grams) }}</dd>
              </template>
              <dt>Water</dt>
              <dd class="text-right font-bold">{{ say.mass(weights.water) }}</dd>
              <dt>Lye (sodium hydroxide)</dt>
              <dd class="text-right font-bold">{{ say.massDown(weights.lye) }}</dd>
            </dl>
            <p class="mt-4 flex flex-wrap gap-4">
              <AppButton v-if="!formula" kind="main" :disabled="!kitchen" @click="first.makeFormula"
                >Write it down as mine</AppButton
              >
              <AppButton v-else :to="`/formulas/${path.formulaId}`">Open the formula</AppButton>
            </p>
          </template>
          <template v-else-if="at === 'lye'">
            <h2 class="text-[22px] leading-tight font-bold text-ink">Meet the lye</h2>
            <p class="mt-1 mb-3">
              Soap is made with lye, and there is none left in it. Until then it burns skin and
              eyes. Pure sodium hydroxide only: no drain opener, no potassium hydroxide.
            </p>
            <SafetyPictures />
            <p class="mt-3 text-ink-2">
              Follow the rules of your place and what stands on the tub.
              <NuxtLink to="/emergency" class="link">If something happens</NuxtLink>
            </p>
            <p class="mt-4">
              <AppButton kind="main" @click="first.tick('lye')">I have read it</AppButton>
            </p>
          </template>
          <DryRun
            v-else-if="at === 'dry'"
            :path="path"
            :lye="weights ? say.massDown(weights.lye) : ''"
            :water="weights ? say.mass(weights.water) : ''"
            :blender="kitchen?.blender ?? false"
            @change="first.change"
            @done="first.tick('dry')"
          />
          <template v-else-if="at === 'rehearsal'">
            <h2 class="text-[22px] leading-tight font-bold text-ink">Rehearsal, at the bench</h2>
            <p class="mt-1">
              The same screens as on the day, your own weights, a scale and pots that only pretend.
              Nothing of it is kept.
            </p>
            <p v-if="rehearsed" class="mt-3 font-[650]" role="status">
              You are back from the bench. Did you come to the end?
            </p>
            <p class="mt-4 flex flex-wrap gap-4">
              <AppButton
                v-if="formula"
                :kind="rehearsed ? 'plain' : 'main'"
                :to="`/bench/practice/${path.formulaId}?guided=1&back=first`"
                >{{ rehearsed ? 'Rehearse again' : 'Rehearse' }}</AppButton
              >
              <AppButton
                :kind="rehearsed ? 'main' : 'plain'"
                :disabled="!formula"
                @click="first.tick('rehearsal')"
                >I came to the end</AppButton
              >
            </p>
            <p v-if="!formula" class="mt-2 text-ink-2">
              The formula comes first: it is two planks back.
            </p>
          </template>
          <template v-else-if="at === 'batch'">
            <h2 class="text-[22px] leading-tight font-bold text-ink">The first batch</h2>
            <p class="mt-1">
              A free morning, nobody else in the kitchen, everything laid out before the lye is
              opened. Mantle leads through it step by step and weighs along with you.
            </p>
            <p class="mt-4 flex flex-wrap gap-4">
              <AppButton v-if="batch && !blocked" kind="main" :to="`/bench/${batch.id}`"
                >To the bench</AppButton
              >
              <AppButton
                v-else-if="formula && !blocked"
                kind="main"
                :to="`/formulas/${path.formulaId}?make=1`"
                >Plan it</AppButton
              >
            </p>
          </template>
          <template v-else-if="at === 'cut'">
            <h2 class="text-[22px] leading-tight font-bold text-ink">Day 1: out and cut</h2>
            <p class="mt-1">
              Gloves on: fresh soap is still caustic. It comes out when it is firm to a gloved
              finger; too soft, it waits another day. Cut it, mark three bars with a number.
            </p>
            <p class="mt-4">
              <AppButton v-if="batch" kind="main" :to="`/batches/${batch.id}`"
                >To the batch</AppButton
              >
            </p>
          </template>
          <template v-else-if="at === 'weigh'">
            <h2 class="text-[22px] leading-tight font-bold text-ink">Day 7: the first weighing</h2>
            <p class="mt-1">
              Hold a strip to a wetted bar: 8 to 10 is soap. Then weigh the three marked bars: what
              they lose is water, and tells when they are ready.
            </p>
            <p class="mt-4">
              <AppButton v-if="batch" kind="main" :to="`/batches/${batch.id}`"
                >To the batch</AppButton
              >
            </p>
          </template>
          <template v-else>
            <h2 class="text-[22px] leading-tight font-bold text-ink">Day 28: wash with it</h2>
            <p class="mt-1">
              Four weeks of air, and the strip said soap. Wash your hands with it, and write down
              what you would do otherwise.
            </p>
            <p
              v-if="batch?.facts.usable.state === 'locked' || batch?.facts.usable.state === 'held'"
              role="alert"
              class="mt-2 font-semibold text-stop"
            >
              Not this batch: its strip or its weights speak against it. See what the batch says.
            </p>
            <p class="mt-4 flex flex-wrap gap-4">
              <AppButton
                v-if="batch && ['usable', 'trusted'].includes(batch.facts.usable.state)"
                kind="main"
                @click="first.tick('wash')"
                >I washed with it</AppButton
              >
              <AppButton v-if="batch" :to="`/batches/${batch.id}`">To the batch</AppButton>
            </p>
            <p v-if="done.wash" class="mt-3 text-[17px] font-bold" role="status">
              That is soap, and you made it. The bars stand on the mantle.
            </p>
          </template>
        </section>

        <section
          class="order-2 bg-sheet px-5 py-4 max-lg:border-t max-lg:border-line lg:order-3 lg:border-l-2 lg:border-dashed lg:border-line-3"
          aria-label="Worries and lye"
        >
          <form class="flex gap-2" @submit.prevent="worry">
            <input
              v-model="asked"
              class="field min-w-0 flex-1"
              aria-label="What worries you"
              placeholder="What if it gets in my eyes?"
              maxlength="300"
            />
            <AppButton :disabled="!asked.trim()" @click="worry">Ask</AppButton>
          </form>
          <ul class="mt-2 grid gap-3">
            <li v-for="one in answers.slice(0, 4)" :key="one.text">
              <h2>You wrote {{ one.day === today ? 'today' : dayText(one.day, { today }) }}</h2>
              <p class="typed text-[16px]">“{{ one.text }}”</p>
              <p class="mt-0.5">
                {{
                  one.answer ??
                  'Mantle knows no answer to that. Keep it for somebody who has made soap before, and look at what to do if something happens.'
                }}
              </p>
            </li>
          </ul>
          <div v-if="weights" class="mt-4 border-t border-line pt-3">
            <h2 class="mb-2">How long there is lye at all</h2>
            <LyeCurve :lye="say.massDown(weights.lye)" :goes="goes" />
            <p class="mt-2">
              The oils have room for {{ say.mass(weights.room) }} and you weigh
              {{ say.massDown(weights.lye)
              }}{{
                goes
                  ? ': they use up all of it. A test strip on day 2 says so.'
                  : ', and that is not enough to be sure: a test strip has to say that none is left.'
              }}
              <button type="button" class="link" @click="whyNone = !whyNone">Why?</button>
              <span v-if="whyNone" class="block text-ink-2"
                >Lye and fat become soap and glycerin; {{ say.percent(weights.superfat) }} of the
                fat finds no lye and stays. With the natural spread of the oils and the steps of
                your scale, the chance that lye is left is {{ goes ? 'under' : 'not under' }} one in
                a hundred.</span
              >
            </p>
          </div>
        </section>
      </div>
    </template>
  </div>
</template>
