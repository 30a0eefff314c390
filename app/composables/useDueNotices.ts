import type { Due } from '#core/rack/due'
import { useIntervalFn } from '@vueuse/core'

/** ms between two looks at what has become due. */
const pace = 60_000

/** Whether this browser is to tell what is due, and whether it can. */
export function useDueNotices() {
  const on = useKept('mantle-notices', false, (value) =>
    typeof value === 'boolean' ? value : null,
  )
  const can = computed(() => window.isSecureContext && 'Notification' in window)
  const refused = ref(false)
  async function set(wanted: boolean) {
    refused.value = wanted && (await Notification.requestPermission()) !== 'granted'
    on.value = wanted && !refused.value
  }
  return { on, can, refused, set }
}

/** Tells each thing once, when it becomes due: called where the app begins. */
export function useTellDue() {
  const { on, can } = useDueNotices()
  const batches = useBatches()
  const workshop = useWorkshop()
  const told = useKept<string[]>('mantle-noticed', [], (value) =>
    Array.isArray(value) ? value.filter((one) => typeof one === 'string') : null,
  )
  /** Ids of what was told; a year of them is enough. */
  const most = 500

  const keyOf = ({ batchId, kind, on: day }: Due) => `${batchId} ${kind} ${day}`
  /** Due now: its day has come, and its hour where it has one. */
  const isDue = ({ between }: Due) => !between || Date.parse(between.from) <= workshop.clock()

  function look() {
    if (!on.value || !can.value || Notification.permission !== 'granted' || !workshop.today) return
    const fresh = batches.due.today.filter((due) => isDue(due) && !told.value.includes(keyOf(due)))
    if (!fresh.length) return
    told.value = [...told.value, ...fresh.map(keyOf)].slice(-most)
    const words = fresh.map(({ kind, batchId }) => {
      const batch = batches.list.find(({ id }) => id === batchId)!
      return `${dueWords[kind]}: ${batch.name} ${batch.number}`
    })
    const notice = new Notification(
      fresh.length > 1
        ? workshop.say.count(fresh.length, 'thing is due', 'things are due')
        : words[0]!,
      {
        body: fresh.length > 1 ? words.slice(0, 5).join('\n') : '',
        tag: 'mantle-due',
        icon: '/icon.svg',
      },
    )
    notice.onclick = () => window.focus()
  }
  useIntervalFn(look, pace)
  watch(() => [batches.list, workshop.today], look)
}
