import { createSharedComposable, useMediaQuery } from '@vueuse/core'

export const themes = ['system', 'light', 'dark'] as const
export type Theme = (typeof themes)[number]

/** Light or dark, as this browser chose or as its system is; on paper always light. */
export const useTheme = createSharedComposable(() => {
  const chosen = useKept<Theme>('mantle-theme', 'system', (value) =>
    themes.includes(value as Theme) ? (value as Theme) : null,
  )
  const dark = useMediaQuery('(prefers-color-scheme: dark)')
  const paper = useMediaQuery('print')
  const isDark = computed(
    () => !paper.value && (chosen.value === 'dark' || (chosen.value === 'system' && dark.value)),
  )
  watchEffect(() => {
    document.documentElement.dataset.theme = isDark.value ? 'dark' : 'light'
  })
  return { chosen, isDark }
})
