/** ms after which what a page needs has been loaded. */
const settled = 3000

/**
 * Lets every station be read while Mantle is away, and tells when it has become a newer one. Browsers keep pages only where they
 * trust the address: on the computer Mantle runs on, or behind HTTPS.
 */
export function useOffline() {
  const { buildId } = useRuntimeConfig().app
  const toasts = useToasts()
  let told = false
  watch(serverBuild, (build) => {
    if (told || !build || build === buildId) return
    told = true
    toasts.show('Mantle is a newer one now. What you typed is kept.', {
      stays: true,
      undoSays: 'Reload',
      undo: () => location.reload(),
    })
  })
  if (!isSecureContext || !('serviceWorker' in navigator)) return
  async function register() {
    try {
      // What an earlier Mantle had for the bench alone.
      for (const one of await navigator.serviceWorker.getRegistrations())
        if (one.scope.endsWith('/bench/')) await one.unregister()
      const { controller } = navigator.serviceWorker
      await navigator.serviceWorker.register(`/sw.js?build=${buildId}`)
      // What this page read before a worker was there to keep it.
      if (controller) return
      const { active } = await navigator.serviceWorker.ready
      const read = performance.getEntriesByType('resource').map(({ name }) => name)
      active?.postMessage({ read: read.filter((url) => url.includes('/api/')) })
    } catch {
      // Switched off in this browser: it works while Mantle answers.
    }
  }
  // What this page needs comes first.
  onMounted(() => setTimeout(() => void register(), settled))
}
