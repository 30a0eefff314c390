<script setup lang="ts">
import type { PageKind } from '#contracts/journal'

/** A notebook on its way in, page by page: a title is enough. */
useHead({ title: 'Old pages in · Mantle' })
const route = useRoute()
const router = useRouter()
const page = usePageImport(String(route.params.id))
const { pages, kept, problem, at, now, draft, when, unit, read, asked, word, answersNow, before } =
  page
const { done, left, counts, perPage, short } = page
const { say, today } = storeToRefs(useWorkshop())
onMounted(() => page.load(String(route.query.page ?? '')))

const title = useTemplateRef<HTMLInputElement>('title')
const kinds = Object.entries(pageKindWords) as [PageKind, string][]
const isRead = computed(() => now.value && now.value.document.what !== 'unread')
async function keep(what?: PageKind) {
  await page.keep(what)
  await nextTick()
  title.value?.focus()
}
useShortcuts({
  ...Object.fromEntries(
    Array.from({ length: 8 }, (_, nth) => [String(nth + 1), () => answersNow.value[nth]?.act()]),
  ),
  Enter: () => void keep(),
})
const report = computed(() => read.value.report)
const verdict = computed(() => report.value.verdicts.find(({ tone }) => tone !== 'good') ?? null)
const toGo = computed(() => {
  if (!left.value) return 'All of it is read.'
  const of = say.value.number(left.value, 0)
  if (!perPage.value) return `${of} to go`
  const minutes = Math.max(1, Math.round((left.value * perPage.value) / 60))
  return `${of} to go: at your ${Math.round(perPage.value)} seconds a page, ${say.value.count(minutes, 'minute', 'minutes')}`
})
const dayHint = computed(() => {
  if (!when.value) return 'No day up to today: write it as 11 June 2009, June 2009 or 2009.'
  const last = before.value?.when
  if (when.value.guessed && last?.day)
    return `No day on it? Taken from the page before, of ${whenKnownText(last, today.value)}.`
  return whenKnownText(when.value, today.value)
})
async function takeOut() {
  if (await page.takeOut()) await router.push('/journal/import')
}
async function stop() {
  await page.stop()
  if (!problem.value) await router.push('/journal')
}
const words = computed(() =>
  [...short.list].sort((one, other) => other.document.times - one.document.times),
)
const places = { anywhere: '', beforeNumber: 'before a number: ', afterTime: 'after a time: ' }
</script>

<template>
  <div class="mx-auto max-w-[1400px] px-4 pt-4 pb-6 sm:px-6">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1>
        {{ kept?.document.name ?? 'Old pages'
        }}<template v-if="pages.length">, {{ say.count(pages.length, 'page', 'pages') }}</template>
      </h1>
      <p class="text-ink-2">
        {{ say.number(done.length, 0) }} in<template v-if="left"
          >, this is page {{ at + 1 }}</template
        >. A title is enough; what you cannot read stays a gap.
      </p>
      <span class="ml-auto flex flex-wrap gap-3">
        <AppButton v-if="left" @click="stop">Stop, keep {{ done.length }}</AppButton>
        <AppButton v-else to="/journal">To the journal</AppButton>
        <AppButton @click="takeOut">Take all out again</AppButton>
      </span>
    </div>
    <p v-if="problem" role="alert" class="mt-2 font-semibold text-stop">{{ problem }}</p>
    <template v-if="pages.length">
      <PageStrip v-if="pages.length > 1" class="mt-2" :pages="pages" :at="at" @turn="page.turnTo" />
      <p class="mt-1 text-[13px] text-ink-2">{{ toGo }}</p>
      <div
        v-if="now"
        class="mt-2 grid rounded-sm bg-slate-2 p-2 lg:grid-cols-[minmax(260px,344px)_minmax(0,1fr)_minmax(280px,380px)]"
      >
        <PagePhoto
          v-if="now.document.photos.length || !now.document.typed"
          class="max-h-[70dvh] max-lg:h-64"
          :photo="now.document.photos[0] ?? null"
        />
        <section class="bg-sheet px-5 py-4" aria-label="The page">
          <fieldset>
            <legend class="text-[13px] text-ink-2">What it was</legend>
            <div class="mt-1 flex flex-wrap gap-2">
              <button
                v-for="[kind, says] in kinds"
                :key="kind"
                type="button"
                class="chip"
                :class="{ on: draft.what === kind }"
                :aria-pressed="draft.what === kind"
                @click="draft.what = kind"
              >
                {{ says }}
              </button>
            </div>
          </fieldset>
          <div class="mt-3 grid gap-3 sm:grid-cols-[3fr_2fr]">
            <label class="grid content-start gap-1 text-[13px] text-ink-2"
              >Title
              <input
                ref="title"
                v-model="draft.title"
                class="field min-h-10 text-[16px]"
                maxlength="160"
                autocomplete="off"
                @keydown.enter.prevent="keep()"
              />
            </label>
            <label class="grid content-start gap-1 text-[13px] text-ink-2"
              >When, as far as known
              <input
                v-model="draft.when"
                class="field min-h-10 text-[16px]"
                :class="{ 'border-dashed !border-warn': when?.guessed }"
                :aria-invalid="!when"
                aria-describedby="page-when"
                maxlength="40"
                autocomplete="off"
                @keydown.enter.prevent="keep()"
              />
            </label>
          </div>
          <p id="page-when" class="mt-1 text-[13px]" :class="when ? 'text-ink-2' : 'text-stop'">
            {{ dayHint }}
          </p>
          <label class="mt-2 grid gap-1 text-[13px] text-ink-2"
            >What is legible, a line each
            <textarea
              v-model="draft.typed"
              class="field typed min-h-32 text-[15px]"
              maxlength="20000"
              rows="5"
              placeholder="OO 500&#10;lye 146&#10;w 300"
            />
          </label>
          <PageLines
            v-if="read.lines.length"
            class="mt-2 max-h-[40dvh] overflow-y-auto"
            :lines="read.lines"
            :asked="asked"
            :answers="answersNow"
            :short="word?.short ?? ''"
            @learn="(long) => word && page.learn(word, long)"
          />
          <label class="mt-2 grid gap-1 text-[13px] text-ink-2"
            >Whose recipe it was, if not your own
            <input v-model="draft.source" class="field" maxlength="120" autocomplete="off" />
          </label>
          <p class="mt-4 flex flex-wrap items-center gap-4">
            <AppButton kind="main" :disabled="!when" @click="keep()"
              >{{ isRead ? 'Keep it' : left > 1 ? 'Keep it, turn the page' : 'Keep it' }}
              <kbd class="text-white max-sm:hidden">Enter</kbd></AppButton
            >
            <button type="button" class="link" @click="keep('gap')">Leave as a gap</button>
          </p>
        </section>
        <section
          class="border-line bg-sheet px-5 py-4 max-lg:border-t lg:border-l-2 lg:border-dashed"
          aria-label="What it comes to"
        >
          <h2>What that recipe is</h2>
          <template v-if="report.superfat !== null || report.ratio !== null">
            <dl class="mt-1 grid grid-cols-2 gap-x-4">
              <div>
                <dd class="figure text-[28px] font-bold">
                  {{ report.superfat === null ? '–' : say.percent(report.superfat) }}
                </dd>
                <dt class="text-[13px] text-ink-2">superfat</dt>
              </div>
              <div>
                <dd class="figure text-[28px] font-bold">
                  {{ report.ratio === null ? '–' : say.ratio(report.ratio) }}
                </dd>
                <dt class="text-[13px] text-ink-2">water to lye</dt>
              </div>
            </dl>
          </template>
          <p
            v-if="draft.typed.trim() && verdict"
            class="mt-2"
            :class="{ 'font-semibold text-stop': verdict.tone === 'stop' }"
          >
            <b>{{ verdict.says }}</b> {{ verdict.because }}
          </p>
          <p v-else-if="!draft.typed.trim()" class="mt-1 text-ink-2">
            Nothing is typed yet; a title alone is kept too.
          </p>
          <p v-if="draft.typed.trim()" class="mt-2 text-[13px] text-ink-2">
            Kept as it was written.
            <label
              >Bare figures are
              <select
                class="field !py-0.5"
                aria-label="Bare figures are"
                :value="unit ?? ''"
                @change="page.setUnit(($event.target as HTMLSelectElement).value as 'g' | 'oz')"
              >
                <option value="" disabled>asked</option>
                <option value="g">grams</option>
                <option value="oz">ounces</option>
              </select></label
            >
          </p>
          <div class="mt-5 border-t border-line pt-3">
            <h2>Shorthand <span class="font-normal">learned as you put it right</span></h2>
            <p v-if="!words.length" class="mt-1 text-ink-2">
              None yet. Say once what “CO” means, and it is known on every page.
            </p>
            <ul class="mt-1">
              <li
                v-for="one in words"
                :key="one.id"
                class="grid grid-cols-[72px_1fr_auto_auto] items-baseline gap-2 border-b border-line-2 py-1"
              >
                <b>{{ one.document.short }}</b>
                <span>{{ places[one.document.place] }}{{ one.document.long }}</span>
                <span class="figure text-[13px] text-ink-2">{{
                  say.count(one.document.times, 'page', 'pages')
                }}</span>
                <button
                  type="button"
                  class="link text-[13px]"
                  :aria-label="`Forget ${one.document.short}`"
                  @click="page.forget(one)"
                >
                  Forget
                </button>
              </li>
            </ul>
          </div>
          <div v-if="done.length" class="mt-5 border-t border-line pt-3" role="status">
            <h2>So far</h2>
            <p class="mt-1">
              <b>{{ counts.thin }}</b> under 2 % superfat, <b>{{ counts.dry }}</b> never
              {{ say.plural(counts.dry, 'says its', 'say their') }} water, <b>{{ counts.gaps }}</b>
              {{ say.plural(counts.gaps, 'gap', 'gaps')
              }}<template v-if="counts.open"
                >, <b>{{ counts.open }}</b> with an open word</template
              >.
            </p>
          </div>
        </section>
      </div>
    </template>
  </div>
</template>
