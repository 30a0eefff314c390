<script setup lang="ts">
import { extrasIn } from '#core/batter/seenColours'
import { inOrder } from '#core/units/formatter'

/** The colours of the workshop: how each is used here, and how it came out in soap that gelled and that did not. */
useHead({ title: 'Colours · Mantle' })
const colours = useColours()
const materials = useMaterials()
const formulas = useFormulas()
const { library } = storeToRefs(materials)
const { say } = storeToRefs(useWorkshop())
const router = useRouter()
onMounted(() => Promise.all([colours.load(), formulas.load()]))
const find = ref('')

const usedIn = computed(() => {
  const names = new Map<string, string[]>()
  for (const { document } of formulas.list)
    for (const id of extrasIn(document)) names.set(id, [...(names.get(id) ?? []), document.name])
  return names
})
const tinting = computed(() => [...library.value.additives.values()].filter(({ tints }) => tints))
/** What has a record, and what formulas colour with without one. */
const shown = computed(() =>
  tinting.value
    .filter(({ id }) => colours.known.has(id) || usedIn.value.has(id))
    .filter(({ name }) => name.toLowerCase().includes(find.value.trim().toLowerCase()))
    .map((extra) => ({
      extra,
      colour: colours.known.get(extra.id) ?? newColour(),
      used: usedIn.value.get(extra.id) ?? [],
    }))
    .sort(
      (a, b) =>
        Number(b.colour.seen.length > 0) - Number(a.colour.seen.length > 0) ||
        inOrder(a.extra.name, b.extra.name),
    ),
)
const others = computed(() =>
  tinting.value.filter(({ id }) => !colours.known.has(id) && !usedIn.value.has(id)),
)
const other = ref('')
watch(other, (id) => id && void router.push(`/scents/colours/${id}`))
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <header class="mb-3 flex flex-wrap items-center gap-2">
      <h1>Colours</h1>
      <p class="mr-auto ml-1 text-ink-2">
        How each came out here: pictures of pots and bars are drawn with it.
      </p>
      <input
        v-model="find"
        type="search"
        placeholder="Find a colour"
        aria-label="Find a colour by its name"
        class="field !w-40 py-1.5"
      />
      <select v-model="other" class="field !w-auto py-1.5" aria-label="Another colour">
        <option value="">Another colour…</option>
        <option v-for="one in others" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
      <AppButton to="/scents">Scents</AppButton>
    </header>
    <p v-if="colours.problem" role="alert" class="font-semibold text-stop">{{ colours.problem }}</p>
    <ul class="grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-3">
      <li v-for="{ extra, colour, used } in shown" :key="extra.id" class="sheet px-4 py-3">
        <NuxtLink :to="`/scents/colours/${extra.id}`" class="group flex items-center gap-2.5">
          <i
            class="size-5 shrink-0 rounded-xs border border-ink/40"
            :style="{ background: extra.colour }"
          />
          <h2 class="!text-[17px] font-bold group-hover:underline">{{ extra.name }}</h2>
        </NuxtLink>
        <p class="figure mt-0.5 text-[13px] text-ink-2">
          {{ colourUseText(colour, say) || 'Nothing written down yet' }}
        </p>
        <SwatchLadder v-if="colour.seen.length" :seen="colour.seen" class="mt-2" />
        <p v-else class="mt-2 text-[13px]">
          Nobody has looked at a bar of it: pictures take the powder’s own colour.
          <NuxtLink :to="`/scents/colours/${extra.id}`" class="link font-[550]"
            >Look at one</NuxtLink
          >
        </p>
        <p v-if="used.length" class="mt-2 border-t border-line-2 pt-1.5 text-[13px] text-ink-2">
          In {{ say.list(used.slice(0, 4), 'and')
          }}{{ used.length > 4 ? ` and ${used.length - 4} more` : '' }}
        </p>
      </li>
    </ul>
    <p v-if="colours.loaded && !shown.length" class="py-10 text-center text-ink-2">
      {{
        find
          ? 'No colour of that name.'
          : 'No formula has a colour yet. Choose one above to write down how it comes out.'
      }}
    </p>
  </div>
</template>
