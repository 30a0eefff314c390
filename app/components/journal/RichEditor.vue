<script setup lang="ts">
import type { RichText } from '#contracts/richText'
import { Bold, Italic, List, ListOrdered, Quote, Redo2, Undo2 } from '@lucide/vue'
import { Editor } from '@tiptap/core'
import StarterKit from '@tiptap/starter-kit'

/** A note as it is written: bold, italics, headings, lists, links; Ctrl B and I, `- ` and `1. ` as everywhere. */
const text = defineModel<RichText>({ required: true })
const { label } = defineProps<{ label: string }>()
const place = ref<HTMLElement>()
const editor = shallowRef<Editor | null>(null)
/** Links lead to the web; an address to write to stays a word. */
const isWeb = (address: string) => /^https?:\/\//i.test(address)
/** Rises with every change of the editor, so that its keys show what holds at the cursor. */
const turn = ref(0)
onMounted(() => {
  editor.value = new Editor({
    element: place.value!,
    content: text.value.content.length ? text.value : '',
    extensions: [
      StarterKit.configure({
        heading: { levels: [2, 3] },
        code: false,
        codeBlock: false,
        horizontalRule: false,
        underline: false,
        link: { openOnClick: false, isAllowedUri: isWeb, shouldAutoLink: isWeb },
      }),
    ],
    editorProps: {
      attributes: {
        class:
          'typed min-h-32 px-3 py-2 outline-none [&_ul]:list-disc [&_ul]:pl-5 [&_ol]:list-decimal [&_ol]:pl-5 [&_h2]:text-[16px] [&_h2]:text-ink [&_blockquote]:border-l-4 [&_blockquote]:border-line-3 [&_blockquote]:pl-3',
        role: 'textbox',
        'aria-multiline': 'true',
        'aria-label': label,
      },
    },
    onUpdate: ({ editor: now }) => (text.value = tidied(now.getJSON() as RichText)),
    onTransaction: () => void turn.value++,
  })
})
onBeforeUnmount(() => editor.value?.destroy())

/** Only what is kept of it: the editor's links carry how they open, too. */
function tidied(raw: RichText): RichText {
  return JSON.parse(
    JSON.stringify(raw, (key, value: unknown) => {
      if (key === 'marks' && Array.isArray(value))
        return (value as { type: string; attrs?: { href?: string } }[])
          .filter(({ type, attrs }) => type !== 'link' || isWeb(attrs?.href ?? ''))
          .map(({ type, attrs }) =>
            attrs?.href ? { type, attrs: { href: attrs.href } } : { type },
          )
      return value
    }),
  ) as RichText
}
const is = (name: string) => turn.value >= 0 && (editor.value?.isActive(name) ?? false)
const keys = computed(() => {
  const chain = () => editor.value!.chain().focus()
  return [
    { says: 'Bold', icon: Bold, on: is('bold'), act: () => chain().toggleBold().run() },
    { says: 'Italic', icon: Italic, on: is('italic'), act: () => chain().toggleItalic().run() },
    { says: 'List', icon: List, on: is('bulletList'), act: () => chain().toggleBulletList().run() },
    {
      says: 'Numbered list',
      icon: ListOrdered,
      on: is('orderedList'),
      act: () => chain().toggleOrderedList().run(),
    },
    {
      says: 'Quote',
      icon: Quote,
      on: is('blockquote'),
      act: () => chain().toggleBlockquote().run(),
    },
    { says: 'Undo', icon: Undo2, on: null, act: () => chain().undo().run() },
    { says: 'Redo', icon: Redo2, on: null, act: () => chain().redo().run() },
  ]
})
defineExpose({ focus: () => editor.value?.commands.focus('end') })
</script>

<template>
  <div
    class="rounded-sm border border-line-3 bg-field text-on-field focus-within:outline-3 focus-within:outline-act"
  >
    <div
      role="toolbar"
      aria-label="Formatting"
      class="flex gap-0.5 border-b border-line px-1 py-0.5"
    >
      <button
        v-for="key in keys"
        :key="key.says"
        type="button"
        class="flex size-8 items-center justify-center rounded-sm hover:bg-line-2"
        :class="{ 'bg-line-2': key.on }"
        :aria-label="key.says"
        :aria-pressed="key.on ?? undefined"
        :title="key.says"
        @click="key.act()"
      >
        <component :is="key.icon" :size="16" aria-hidden="true" />
      </button>
    </div>
    <div ref="place" />
  </div>
</template>
