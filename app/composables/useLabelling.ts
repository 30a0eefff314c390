import type { Batch } from '#contracts/batch'
import type { LabelSubject } from '#contracts/label'
import type { ListCustom } from '#contracts/labelWords'
import { placeFor } from '#core/label/places'
import { saidOf, type LabelKnown, type LabelSaid } from '#core/label/subject'

/** What the labels of a batch, of a box or of the shelf say, worked out of what the workshop keeps. */
export function useLabelling(subject: Ref<LabelSubject>) {
  const designs = useDesigns()
  const gifts = useGifts()
  const soaps = useSoapWords()
  const scents = useScents()
  const { settings } = storeToRefs(useWorkshop())
  const batches = shallowRef<ReadonlyMap<string, Batch>>(new Map())
  const problem = ref('')
  const loaded = ref(false)

  const wanted = computed((): string[] => {
    const { value } = subject
    if (value.of === 'batch') return [value.id]
    if (value.of === 'prices') return value.ids
    const gift = gifts.list.find(({ id }) => id === value.id)
    return gift?.document.bars.map(({ batchId }) => batchId) ?? []
  })
  async function loadBatches() {
    const lacking = wanted.value.filter((id) => !batches.value.has(id))
    const found = await Promise.all(lacking.map((id) => api.get<Batch>(`/api/batches/${id}`)))
    batches.value = new Map([...batches.value, ...found.map((batch) => [batch.id, batch] as const)])
  }
  async function load() {
    try {
      await Promise.all([designs.load(), gifts.load(), soaps.load(), scents.load()])
      await loadBatches()
      problem.value = designs.problem || gifts.problem || soaps.problem
      loaded.value = true
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }
  onMounted(load)
  watch(wanted, () => loaded.value && void loadBatches().catch(() => undefined))

  const known = computed((): LabelKnown => ({
    shop: settings.value,
    scents: new Map(scents.list.map(({ id, document }) => [id, { scent: document }])),
    batch: (id) => batches.value.get(id) ?? null,
    gift: (id) => gifts.list.find((one) => one.id === id)?.document ?? null,
    soap: (id) => soaps.of(id),
  }))
  const place = computed(() => placeFor(settings.value.selling))
  /** What is said in one custom; nothing while a batch is still on its way. */
  const said = (custom: ListCustom, smallest: number | null): LabelSaid[] =>
    saidOf(subject.value, known.value, custom, smallest) ?? []
  return { loaded, problem, batches, place, said, load }
}
