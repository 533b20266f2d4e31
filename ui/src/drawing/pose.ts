import type { Net } from '../api/client'

/** Turning what the program worked out: hinges, order and angles come from it, the turning is done here. */
export type Vec = [number, number, number]
type Pose = (p: { x: number; y: number }) => Vec
type Crease = Net['creases'][number]

const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const plus = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
const times = (a: Vec, f: number): Vec => [a[0] * f, a[1] * f, a[2] * f]
const dot = (a: Vec, b: Vec) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]

function turnAbout(from: Vec, to: Vec, angle: number) {
  const along = minus(to, from)
  const axis = times(along, 1 / Math.sqrt(dot(along, along)))
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)]
  return (v: Vec): Vec => {
    const r = minus(v, from)
    const turned = plus(
      plus(times(r, cos), times(cross(axis, r), sin)),
      times(axis, dot(axis, r) * (1 - cos)),
    )
    return plus(from, turned)
  }
}

/** On which side of the crease the panel lies decides which way it rises. */
function side(c: Crease, panel: { x: number; y: number }[]) {
  const x = panel.reduce((s, p) => s + p.x, 0) / panel.length
  const y = panel.reduce((s, p) => s + p.y, 0) / panel.length
  return (c.to.y - c.from.y) * (x - c.from.x) + (c.from.x - c.to.x) * (y - c.from.y)
}

/** Where every panel lies at a stage: whole numbers are folds done, the rest is the next one's part. */
export function poses(net: Net, stages: number[], stage: number): Map<string, Pose> {
  const list = new Map<string, Pose>()
  const face = net.panels[0]!
  list.set(face.id, (p) => [p.x, p.y, 0])
  for (let again = true; again;) {
    again = false
    for (const c of net.creases) {
      const on = list.get(c.on || face.id)
      if (!on || list.has(c.panel)) continue
      const panel = net.panels.find((p) => p.id === c.panel)
      if (!panel) continue
      const part = Math.min(1, Math.max(0, stage - stages.indexOf(c.order)))
      const angle = ((part * c.angle * Math.PI) / 180) * (side(c, panel.outline) > 0 ? -1 : 1)
      const turn = turnAbout(on(c.from), on(c.to), angle)
      list.set(c.panel, (p) => turn(on(p)))
      again = true
    }
  }
  return list
}
