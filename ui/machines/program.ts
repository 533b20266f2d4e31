import type { Edit } from '../src/api/client'

/** A job as the machines need one: fields of text, and a list that something can be added to. */
export interface Doc {
  name: string
  width: string
  height: string
  parts: { id: string; border: string }[]
}

export interface Version {
  version: number
  doc: string
  mine: boolean
}

/** One request on its way: it comes to the program, or not, and its answer comes back, or not. */
export interface Request {
  method: string
  path: string
  body: Record<string, unknown>
  answer?: Answer
  back: (answer: Answer) => void
  lost: () => void
}

interface Answer {
  data?: unknown
  error?: { detail: string }
  response?: { status: number }
}

const ok = (data: unknown): Answer => ({ data, response: { status: 200 } })
const refused = (status: number, detail: string): Answer => ({ error: { detail }, response: { status } })

/**
 * A stand-in for the program: what of it the machines of the screen depend on (edits carried out
 * in order, versions, acts that are done once), and nothing of its sums. A text that begins with
 * ! cannot be used, one that begins with ? is unfinished.
 */
export class Program {
  versions: Version[] = []
  removed = false
  acts = new Map<string, number>()
  shop = { version: 1, entries: [] as string[], unit: 'in' }
  step = 0
  events: { kind: string; version: number; job?: string }[] = []
  private ids = 0

  constructor() {
    this.store({ name: 'Card', width: '5', height: '7', parts: [] }, 0, '')
    this.versions[0]!.mine = false
  }

  get doc(): Doc {
    return JSON.parse(this.versions[this.versions.length - 1]!.doc)
  }

  get version() {
    return this.versions.length
  }

  /** What another window does: it saves the job that there is, with a field changed. */
  other(field: 'name' | 'width' | 'height', text: string) {
    this.versions.push({
      version: this.version + 1,
      doc: JSON.stringify({ ...this.doc, [field]: text }),
      mine: false,
    })
    this.events.push({ kind: 'job', job: 'one', version: this.version })
  }

  otherShop() {
    this.shop = { ...this.shop, version: this.shop.version + 1, unit: this.shop.unit === 'in' ? 'mm' : 'in' }
    this.events.push({ kind: 'shop', version: this.shop.version })
  }

  private store(doc: Doc, from: number, act: string): Answer {
    if (from !== this.versions.length) return refused(409, 'It was changed.')
    this.versions.push({ version: from + 1, doc: JSON.stringify(doc), mine: true })
    if (act) this.acts.set(act, this.version)
    this.events.push({ kind: 'job', job: 'one', version: this.version })
    return ok(this.stored())
  }

  private stored() {
    return { id: 'one', version: this.version, removed: this.removed, job: this.doc }
  }

  private apply(job: Doc, edits: Edit[]) {
    const doc: Doc = structuredClone(job)
    let problems: { path: string; message: string; unfinished: boolean }[] = []
    for (const e of edits) {
      const text = e.text ?? ''
      const [list, id, field] = e.path.split('.')
      problems = problems.filter((p) => p.path !== e.path)
      const part = doc.parts.find((p, i) => p.id === id || String(i) === id)
      if (e.act === 'add') doc.parts.push({ id: `p${++this.ids}`, border: '0' })
      else if (e.act === 'remove') doc.parts = doc.parts.filter((p) => p !== part)
      else if (/^[!?]/.test(text))
        problems.push({ path: e.path, message: `No: ${text}`, unfinished: text.startsWith('?') })
      else if (e.act === 'step' && (list === 'width' || list === 'height'))
        doc[list] = String(Number(doc[list]) + (e.steps ?? 0))
      else if (list === 'parts' && part && field === 'border') part.border = text.trim()
      else if (list === 'name' || list === 'width' || list === 'height') doc[list] = text.trim()
    }
    return { doc, problems }
  }

  /** Carries a request out, once. */
  carryOut(r: Request) {
    r.answer ??= this.answerTo(r)
  }

  private answerTo({ method, path, body }: Request): Answer {
    if (method === 'POST') return this.plan(body as { job: Doc; edits: Edit[]; open: string })
    if (path === '/api/shop')
      return method === 'GET'
        ? ok(this.shopBody([]))
        : this.changeShop(body as { act: string; edits: Edit[] })
    if (path.endsWith('/progress')) {
      if (method === 'PUT') {
        this.step = body.step as number
        this.events.push({ kind: 'bench', job: 'one', version: this.step })
      }
      return ok({ step: this.step })
    }
    if (path.endsWith('/version')) return ok({ version: this.version })
    if (path.endsWith('/removed')) {
      this.removed = body.removed as boolean
      return ok(this.stored())
    }
    if (method === 'GET') return ok(this.stored())
    return this.save(body as never)
  }

  private plan({ job, edits, open }: { job: Doc; edits: Edit[]; open: string }): Answer {
    if (edits.some((e) => e.text === '!!')) return refused(422, 'None of it can be used.')
    const { doc, problems } = this.apply(job, edits)
    const field = (text: string) => ({ kind: 'length', text })
    const fields = {
      name: field(doc.name),
      width: field(doc.width),
      height: field(doc.height),
      ...Object.fromEntries(doc.parts.map((p, i) => [`parts.${i}.border`, field(p.border)])),
    }
    const adds = [{ path: 'parts', full: doc.parts.length > 5 }]
    const plan = { fields, adds, open, of: JSON.stringify(doc) }
    const body = { job: doc, plan, problems, shopVersion: this.shop.version }
    return { data: JSON.stringify(body), response: { status: 200 } }
  }

  private save(body: { version: number; job: Doc; act: string; after?: string[]; edits?: Edit[] }): Answer {
    const { doc } = this.apply(body.job, body.edits ?? [])
    const done = this.acts.get(body.act)
    if (done !== undefined) return ok({ ...this.stored(), version: done, job: body.job })
    const from = Math.max(body.version, ...(body.after ?? []).map((a) => this.acts.get(a) ?? 0))
    return this.store(doc, from, body.act)
  }

  private shopBody(problems: unknown[]) {
    const fields = { unit: { kind: 'word', text: this.shop.unit } }
    const { version, unit, entries } = this.shop
    return {
      version,
      shop: { unit, entries },
      fields,
      adds: [],
      problems,
      told: [],
      choices: { units: [{ id: 'in', name: 'Inches' }] },
    }
  }

  private changeShop({ act, edits }: { act: string; edits: Edit[] }): Answer {
    const problems: unknown[] = []
    if (!this.acts.has(act)) {
      for (const e of edits) {
        if (/^[!?]/.test(e.text ?? '')) problems.push({ path: e.path, message: 'No.', unfinished: false })
        else if (e.act === 'add') this.shop.entries = [...this.shop.entries, e.text ?? '']
        else this.shop.unit = e.text ?? ''
      }
      this.shop.version++
      this.acts.set(act, this.shop.version)
      this.events.push({ kind: 'shop', version: this.shop.version })
    }
    return ok(this.shopBody(problems))
  }
}
