import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue'

/** The width of an element in pixels, followed as it changes. */
export function useWidth(element: Ref<HTMLElement | undefined>): Ref<number> {
  const width = ref(0)
  let observer: ResizeObserver | undefined
  onMounted(() => {
    if (!element.value) return
    width.value = element.value.clientWidth
    observer = new ResizeObserver((entries) => {
      for (const entry of entries) width.value = entry.contentRect.width
    })
    observer.observe(element.value)
  })
  onBeforeUnmount(() => observer?.disconnect())
  return width
}
