<script setup lang="ts">
import { placeFor } from '#core/label/places'

/** Labels and prices: what is to be labelled, boxes of several bars, and what all labels go by. */
useHead({ title: 'Labels and prices · Mantle' })
const router = useRouter()
const { settings, say } = storeToRefs(useWorkshop())
const { soaps, load } = useShelfSoaps()
const words = useSoapWords()
const gifts = useGifts()
const toasts = useToasts()
onMounted(() => Promise.all([load(), words.load(), gifts.load()]))
const place = computed(() => placeFor(settings.value.selling))
const ready = computed(() => soaps.value.flatMap(({ batches }) => batches))
const name = ref('')
async function newGift() {
  try {
    const id = newId()
    await gifts.save(id, 0, {
      name: name.value.trim() || 'Gift box',
      tagline: '',
      bars: [],
      price: null,
      designId: null,
    })
    await router.push(`/stores/labels/gifts/${id}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const priceOf = (minor: number | null) =>
  minor === null ? 'no price' : moneyText(minor, settings.value.currency)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <div class="mb-3 flex flex-wrap items-center gap-3">
      <h1 class="mr-auto">Labels and prices</h1>
      <AppButton to="/stores/labels/cards">Cards for the shelf</AppButton>
      <AppButton to="/stores/labels/prices">Price list</AppButton>
      <AppButton to="/stores">To the stores</AppButton>
    </div>
    <p v-if="words.problem || gifts.problem" role="alert" class="mb-3 font-semibold text-stop">
      {{ words.problem || gifts.problem }}
    </p>
    <div class="grid items-start gap-4 lg:grid-cols-2">
      <section class="sheet" aria-labelledby="ready">
        <h2 id="ready" class="px-4 pt-3 pb-2">Ready to be labelled</h2>
        <ul class="divide-y divide-line border-t border-line">
          <li v-for="batch in ready" :key="batch.id">
            <NuxtLink
              :to="`/batches/${batch.id}/labels`"
              class="flex min-h-12 items-center gap-3 px-4 py-1.5 hover:bg-band"
            >
              <BarThumbnail :thumbnail="batch.thumbnail" />
              <b class="min-w-0 flex-1 truncate">{{ batch.name }} {{ batch.number }}</b>
              <span class="figure text-ink-2">{{
                say.count(batch.facts.bars - batch.facts.out, 'bar', 'bars')
              }}</span>
              <span class="figure w-20 text-right">{{
                priceOf(words.of(batch.formulaId).price)
              }}</span>
            </NuxtLink>
          </li>
        </ul>
        <p v-if="!ready.length" class="border-t border-line px-4 py-4 text-ink-2">
          No batch is ready to leave yet. What cures can be labelled ahead, from its own page.
        </p>
      </section>
      <section class="sheet" aria-labelledby="gifts">
        <h2 id="gifts" class="px-4 pt-3 pb-2">Boxes of several bars</h2>
        <ul class="divide-y divide-line border-t border-line">
          <li v-for="one in gifts.list" :key="one.id">
            <NuxtLink
              :to="`/stores/labels/gifts/${one.id}`"
              class="flex min-h-12 items-center gap-3 px-4 py-1.5 hover:bg-band"
            >
              <b class="min-w-0 flex-1 truncate">{{ one.document.name }}</b>
              <span class="text-ink-2">{{
                say.count(
                  one.document.bars.reduce((sum, { bars }) => sum + bars, 0),
                  'bar',
                  'bars',
                )
              }}</span>
              <span class="figure w-20 text-right">{{ priceOf(one.document.price) }}</span>
            </NuxtLink>
          </li>
        </ul>
        <form
          class="flex flex-wrap items-center gap-3 border-t border-line px-4 py-3"
          @submit.prevent="newGift"
        >
          <input
            v-model="name"
            class="field !w-56"
            maxlength="60"
            placeholder="Gift box"
            aria-label="What a new box is called"
          />
          <AppButton @click="newGift">New box</AppButton>
        </form>
      </section>
      <SellingSettings class="lg:col-span-2" />
    </div>
    <p class="mt-3 text-[13px] text-ink-2">
      {{ place.says }}, as known here in {{ monthText(`${place.asOf}-01`, '') }}:
      {{ place.source }}. Rules change and differ by place and by what a bar is for: check those
      where you sell.
    </p>
  </div>
</template>
