import { computed, ref } from 'vue'

import type { FieldPath } from '../api/client'
import { useLit } from './useLit'
import { useShop } from '../job/useShop'
import { markAll } from './events'
import type { FieldsInHand } from '../job/useFields'

/** A field, wherever it stands. What it is chosen from and what is wrong with it the program says. */
export interface Typed {
  of: FieldsInHand
  path: FieldPath
  /** What it is called here, where the program's own word says too little or too much. */
  label?: string
  placeholder?: string
  /** What tests find it by; its path where nothing is said. */
  name?: string
}

const bigStep = 8

/** What a field shows, and what is done in it. Every answer brings every field anew: what is
    drawn goes by texts, which stay the same. */
export function useTyped(props: Typed, marks: () => boolean) {
  const { items } = useShop()
  const input = computed(() => props.of.inputAt(props.path))
  const kind = computed(() => input.value?.kind ?? 'word')
  const called = computed(() => props.label ?? input.value?.label ?? '')
  const text = computed(() => props.of.textOf(props.path))
  const problem = computed(() => props.of.problemOf(props.path))
  // Only what the program itself wrote is in the shop's unit.
  const unit = computed(() => (text.value === input.value?.text ? (input.value.unit ?? '') : ''))
  const test = computed(() => props.name ?? `field-${props.path}`)
  const list = computed(() => input.value?.list ?? '')
  const options = computed(() => items(list.value))
  const exact = computed(() => input.value?.exact ?? '')
  const hint = computed(() => input.value?.note ?? '')
  const chosen = computed(() => kind.value === 'choice' || (kind.value === 'flag' && list.value !== ''))
  const stepped = computed(() => ['length', 'weight', 'count'].includes(kind.value))

  // Its line on the drawing lights up while it is edited or pointed at, and the other way round.
  const { lit, light, dim } = useLit()
  const focused = ref(false)
  function entered(e: FocusEvent) {
    focused.value = true
    light(props.path)
    if (marks()) markAll(e)
  }
  function left() {
    focused.value = false
    dim(props.path)
    props.of.leave(props.path)
  }

  function press(e: KeyboardEvent) {
    if (!stepped.value || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return
    e.preventDefault()
    const size = e.shiftKey ? bigStep : 1
    props.of.step(props.path, e.key === 'ArrowUp' ? size : -size)
  }

  const choose = (id: string | null) => props.of.set(props.path, id ?? '')

  return {
    kind,
    called,
    text,
    problem,
    unit,
    test,
    list,
    options,
    exact,
    hint,
    chosen,
    lit,
    light,
    dim,
    focused,
    entered,
    left,
    press,
    choose,
  }
}
