<script setup lang="ts">
import science from '~~/docs/science.md?raw'

/** How every figure and estimate is reckoned: the same text as docs/science.md. */
useHead({ title: 'Explained · Mantle' })
const route = useRoute()

const slug = (heading: string) =>
  heading
    .toLowerCase()
    .replace(/<[^>]+>|&\w+;/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
const html = ref('')
const contents = ref<{ id: string; says: string }[]>([])
onMounted(async () => {
  const { Marked } = await import('marked')
  let tables = 0
  const marked = new Marked()
  const found: typeof contents.value = []
  marked.use({
    renderer: {
      heading({ tokens, depth }) {
        const says = this.parser.parseInline(tokens)
        const id = slug(says)
        if (depth === 2) found.push({ id, says: says.replace(/ \(.*/, '') })
        return `<h${depth} id="${id}" tabindex="-1">${says}</h${depth}>`
      },
      code({ text }) {
        const plain = text.replace(/&/g, '&amp;').replace(/</g, '&lt;')
        return `<pre tabindex="0"><code>${plain}</code></pre>`
      },
      table(token) {
        const row = (cells: string[], tag: string) =>
          `<tr>${cells.map((cell, index) => (index === 0 && tag === 'td' ? `<th scope="row">${cell}</th>` : `<${tag}>${cell}</${tag}>`)).join('')}</tr>`
        const head = token.header.map(({ tokens }) => this.parser.parseInline(tokens))
        const body = token.rows.map((line) =>
          row(
            line.map(({ tokens }) => this.parser.parseInline(tokens)),
            'td',
          ),
        )
        return `<div class="scroll" tabindex="0" role="region" aria-label="Table ${++tables}"><table><thead>${row(head, 'th')}</thead><tbody>${body.join('')}</tbody></table></div>`
      },
    },
  })
  html.value = await marked.parse(science)
  contents.value = found
  await nextTick()
  if (route.hash) document.getElementById(route.hash.slice(1))?.scrollIntoView()
})
</script>

<template>
  <div
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-6 px-4 py-4 sm:px-6 lg:grid-cols-[220px_minmax(0,1fr)]"
  >
    <nav aria-label="Contents" class="lg:sticky lg:top-4 lg:self-start">
      <h2 class="mb-2">Contents</h2>
      <ul class="grid gap-1">
        <li v-for="item in contents" :key="item.id">
          <a class="link inline-block min-h-6" :href="`#${item.id}`">{{ item.says }}</a>
        </li>
      </ul>
    </nav>
    <!-- The text ships with Mantle; nothing a user types reaches it. -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <article class="sheet explained px-6 py-5" v-html="html" />
  </div>
</template>

<style scoped>
.explained :deep(h1) {
  margin-bottom: 12px;
}
.explained :deep(h2) {
  margin: 28px 0 8px;
  font-size: 18px;
  font-weight: 700;
  color: var(--color-ink);
  scroll-margin-top: 16px;
}
.explained :deep(p),
.explained :deep(ul) {
  max-width: 76ch;
  margin-bottom: 10px;
}
.explained :deep(ul) {
  list-style: disc;
  padding-left: 20px;
}
.explained :deep(pre) {
  overflow-x: auto;
  margin-bottom: 10px;
  padding: 10px 12px;
  background: var(--color-line-2);
  font-size: 13px;
}
.explained :deep(code) {
  font-family: var(--font-mono, monospace);
  font-size: 0.93em;
}
.explained :deep(.scroll) {
  overflow-x: auto;
  margin-bottom: 12px;
}
.explained :deep(table) {
  font-variant-numeric: tabular-nums slashed-zero;
  white-space: nowrap;
}
.explained :deep(th),
.explained :deep(td) {
  border-top: 1px solid var(--color-line-2);
  padding: 4px 8px;
  text-align: right;
}
.explained :deep(th:first-child) {
  text-align: left;
}
</style>
