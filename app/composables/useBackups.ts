import type { ArchiveFile, BackupPlan, Backups, RestorePreview } from '#contracts/backup'

/** Days after which a backup is called old. */
const oldAfter = 7

/** The archives of the workshop: making one, looking at what going back would change, going back, and taking that back. */
export function useBackups() {
  const backups = ref<Backups | null>(null)
  const elsewhere = ref(false)
  const problem = ref('')
  const busy = ref<'' | 'backup' | 'preview' | 'restore'>('')
  const preview = ref<RestorePreview | null>(null)
  const toasts = useToasts()
  const workshop = useWorkshop()

  const last = computed<ArchiveFile | null>(() => backups.value?.archives[0] ?? null)
  /** Hours since the last one; null without one. */
  const hours = computed(() =>
    last.value ? (workshop.clock() - Date.parse(last.value.madeAt)) / 3_600_000 : null,
  )
  const isOld = computed(() => hours.value === null || hours.value > oldAfter * 24)

  async function load() {
    try {
      backups.value = await api.get<Backups>('/api/backups')
    } catch (error) {
      if (error instanceof ApiError && error.status === 403) elsewhere.value = true
      else problem.value = sentenceOf(error)
    }
  }
  async function attempt(kind: typeof busy.value, act: () => Promise<void>): Promise<boolean> {
    if (busy.value) return false
    busy.value = kind
    problem.value = ''
    try {
      await act()
      return true
    } catch (error) {
      problem.value = sentenceOf(error)
      return false
    } finally {
      busy.value = ''
    }
  }

  const backUp = () =>
    attempt('backup', async () => {
      const { missing, backups: now } = await api.post<{ missing: string[]; backups: Backups }>(
        '/api/backups',
      )
      backups.value = now
      toasts.show(
        missing.length
          ? `Backed up, but not everything: the files of ${missing.length} photos are gone.`
          : 'Backed up, and every entry checked.',
        { bad: missing.length > 0 },
      )
    })
  const savePlan = (plan: BackupPlan) =>
    attempt('backup', async () => {
      backups.value = await api.put<Backups>('/api/backups/plan', plan)
    })
  const look = (name: string) =>
    attempt('preview', async () => {
      preview.value = null
      preview.value = await api.get<RestorePreview>(`/api/backups/${name}/preview`)
    })
  /** Brings an archive from elsewhere into the folder, and looks at it. */
  async function bring(file: File) {
    let name = ''
    const there = await attempt('preview', async () => {
      name = (await api.file<{ name: string }>('/api/backups/brought', file)).name
      await load()
    })
    if (there) await look(name)
  }
  const goBack = (name: string) =>
    attempt('restore', async () => {
      backups.value = await api.post<Backups>(`/api/backups/${name}/restore`)
      preview.value = null
      toasts.show('The workshop is as it was then. What it was today is set aside.', {
        stays: true,
        undo: async () => void (await undo()),
        undoSays: 'Bring today back',
      })
    })
  const undo = () =>
    attempt('restore', async () => {
      backups.value = await api.post<Backups>('/api/backups/undo')
      preview.value = null
      toasts.show('The workshop is as it was before.')
    })

  return {
    backups,
    elsewhere,
    problem,
    busy,
    preview,
    last,
    hours,
    isOld,
    load,
    backUp,
    savePlan,
    look,
    bring,
    goBack,
    undo,
  }
}
