<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { EllipsisVertical } from '@lucide/vue'
import type { VNode } from 'vue'

export interface MenuEntry {
  says: string
  act: () => void
  danger?: boolean
}

/** What can be done with one thing, behind three dots. */
/** `words`: the button says what it does, in place of the dots. */
defineProps<{ label: string; entries: MenuEntry[]; words?: boolean }>()
/** Where there is no room below and some above, it opens upwards. */
const upwards = ref(false)
function place({ el }: VNode) {
  const { bottom, top, height } = (el as HTMLElement).getBoundingClientRect()
  upwards.value = bottom > window.innerHeight && top > height
}
</script>

<template>
  <Menu v-slot="{ open }" as="div" class="relative">
    <MenuButton
      :aria-label="label"
      class="flex items-center justify-center rounded-sm"
      :class="words ? 'min-h-7' : 'size-7 hover:bg-line-2'"
    >
      <slot><EllipsisVertical :size="16" /></slot>
    </MenuButton>
    <div
      v-if="open"
      class="absolute right-0 z-20"
      :class="upwards ? 'bottom-full mb-1' : 'mt-1'"
      @vue:before-mount="upwards = false"
      @vue:mounted="place"
    >
      <MenuItems static class="menu-panel min-w-52 text-on-field">
        <MenuItem v-for="entry in entries" :key="entry.says" v-slot="{ active }" as="template">
          <button
            type="button"
            class="block w-full rounded-sm px-3 py-2 text-left"
            :class="[active ? 'bg-line-2' : '', entry.danger ? 'text-stop' : '']"
            @click="entry.act()"
          >
            {{ entry.says }}
          </button>
        </MenuItem>
      </MenuItems>
    </div>
  </Menu>
</template>
