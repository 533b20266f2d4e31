package e2e

import (
	"slices"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/proto"

	"yellowparcel/core/job"
	"yellowparcel/demo"
	"yellowparcel/internal/soak"
)

// sight is a window that stations are laid out for, and how many demo jobs are looked at in it.
type sight struct {
	name          string
	width, height int
	dark, metric  bool
	jobs          int
}

// sights are all of them: the first two for every demo job, the others for three.
var sights = []sight{
	{"1280 x 800", 1280, 800, false, false, len(demo.Jobs())},
	{"820 wide", 820, 1180, false, false, len(demo.Jobs())},
	{"1024 x 768", 1024, 768, false, false, 3},
	{"dark", 1280, 800, true, false, 3},
	{"millimetres", 1280, 800, false, true, 3},
	{"200 %", 640, 400, false, false, 3},
}

// labelled reports which labels of a drawing lie on each other, slanting ones as they stand, or leave it.
const labelled = `(svg) => {
  const corners = (el) => {
    const q = el.getBBox(), m = el.getScreenCTM(), low = q.y + q.height * 0.2, high = q.y + q.height * 0.8
    return [[q.x, low], [q.x + q.width, low], [q.x + q.width, high], [q.x, high]].map(([x, y]) => [m.a * x + m.c * y + m.e, m.b * x + m.d * y + m.f])
  }
  const apart = (p, q) => [p, q].some((of) => of.some(([x, y], i) => {
    const [u, v] = of[(i + 1) % 4], across = [v - y, x - u], far = Math.hypot(...across) || 1
    const on = (list) => list.map(([a, b]) => (a * across[0] + b * across[1]) / far)
    const f = on(p), g = on(q)
    return Math.max(...f) < Math.min(...g) + 1 || Math.max(...g) < Math.min(...f) + 1
  }))
  const labels = [...svg.querySelectorAll('text')].filter((el) => el.textContent.trim() && el.getClientRects().length && !el.closest('defs'))
  const boxes = labels.map(corners)
  const bad = []
  const drawn = svg.getBoundingClientRect()
  labels.forEach((el, i) => {
    const e = el.getBoundingClientRect()
    if (e.left < drawn.left - 1 || e.right > drawn.right + 1 || e.top < drawn.top - 1 || e.bottom > drawn.bottom + 1) bad.push('“' + el.textContent.trim() + '” leaves the drawing')
    for (let k = 0; k < i; k++) if (!apart(boxes[i], boxes[k])) bad.push('labels on each other: “' + labels[k].textContent.trim() + '” and “' + el.textContent.trim() + '”')
  })
  return bad
}`

// laidOut reports what is wrong with how a station lies on its screen, see the test.
const laidOut = `(whole) => {
  const labelled = ` + labelled + `
  const bad = []
  const box = (s) => document.querySelector(s).getBoundingClientRect()
  const page = document.documentElement
  const high = innerHeight
  const ticket = box('.strip'), sentence = box('[data-test=headline]'), drawn = box('[data-test=drawing-box], main .none')
  if (whole && page.scrollHeight > high) bad.push('the page is ' + (page.scrollHeight - high) + ' px too long')
  if (page.scrollWidth > innerWidth) bad.push('it runs ' + (page.scrollWidth - innerWidth) + ' px off sideways')
  if (!whole && ticket.height > high / 10) bad.push('the ticket is ' + ticket.height + ' px high')
  const room = (ticket.top - sentence.bottom) * innerWidth
  const seen = Math.max(0, Math.min(drawn.bottom, ticket.top) - Math.max(drawn.top, sentence.bottom)) * drawn.width
  if (seen < room / 2) bad.push('the drawing has ' + Math.round((100 * seen) / room) + ' % of the room: ' + Math.round(drawn.width) + ' x ' + Math.round(drawn.height))
  const svg = document.querySelector('[data-test=drawing-box] svg')
  if (!svg) return bad.concat('nothing is drawn')
  let l = 1e9, t = 1e9, r = -1e9, b = -1e9
  for (const el of svg.querySelectorAll('path, rect, circle, ellipse, line, text')) {
    if (el.closest('defs, clipPath, .reach')) continue
    const e = el.getBoundingClientRect()
    if (e.width + e.height === 0) continue
    l = Math.min(l, e.left); t = Math.min(t, e.top); r = Math.max(r, e.right); b = Math.max(b, e.bottom)
  }
  if (r - l < 0.92 * drawn.width && b - t < 0.92 * drawn.height) bad.push('the drawing fills ' + Math.round((100 * (r - l)) / drawn.width) + ' by ' + Math.round((100 * (b - t)) / drawn.height) + ' % of its box')
  bad.push(...labelled(svg))
  for (const el of document.querySelectorAll('header *')) {
    if (el.getClientRects().length && el.getBoundingClientRect().right > innerWidth + 1) bad.push('the head runs off: ' + (el.ariaLabel || el.textContent.trim() || el.className))
  }
  // Nothing is cut off: no text is wider than what it stands in.
  for (const el of document.querySelectorAll('header *, .drawers *, .drawer *, .foot *, .strip *, h1')) {
    if (el.closest('.sr, svg, .v-select, .v-slider') || !el.getClientRects().length) continue
    const s = getComputedStyle(el)
    if (el.scrollWidth > el.clientWidth + 1 && el.clientWidth > 0 && s.overflowX !== 'visible' && !el.matches('input, .v-field__field')) bad.push('cut off: ' + el.className + ' “' + el.textContent.trim().slice(0, 40) + '”')
    if (el.matches('input') && el.scrollWidth > el.clientWidth + 2 && el.closest('.drawer')) bad.push('a field is too narrow for “' + el.value + '”')
  }
  // Nothing overlaps: what stands beside and under each other keeps apart.
  const parts = [...document.querySelectorAll('header > *, .drawer > *, .drawer .offer > *, .drawer .field-grid > *, .foot > *')].filter((el) => el.getClientRects().length)
  for (const el of parts) {
    const next = el.nextElementSibling
    if (!next || !next.getClientRects().length) continue
    const a = el.getBoundingClientRect(), c = next.getBoundingClientRect()
    const x = Math.min(a.right, c.right) - Math.max(a.left, c.left), y = Math.min(a.bottom, c.bottom) - Math.max(a.top, c.top)
    if (x > 1 && y > 1) bad.push('overlap: “' + el.textContent.trim().slice(0, 30) + '” and “' + next.textContent.trim().slice(0, 30) + '”')
  }
  return bad
}`

// labels fails where labels of the drawing that is shown lie on each other or leave it.
func labels(w *window, what string) {
	w.t.Helper()
	for _, wrong := range w.MustEval(`() => (` + labelled + `)(document.querySelector('[data-test=drawing-box] svg'))`).Arr() {
		w.t.Errorf("%s: %s", what, wrong.Str())
	}
}

// looked says what is wrong in the drawer that is open, as soon as it is drawn for its window.
const looked = `async (whole) => {
  const laidOut = ` + laidOut + `
  const empties = ` + empties + `
  for (let i = 0; i < 2; i++) await new Promise((done) => requestAnimationFrame(() => setTimeout(done)))
  window.scrollTo(0, 0)
  return [...laidOut(whole), ...empties()]
}`

// pages are those of the program, jobPages those of a job beside its stations; prints are what is printed of it.
var (
	pages    = []string{"/", "/shelf", "/rules", "/backups", "/help", "/chart"}
	jobPages = []string{"swatches", "gauge", "table", "true-size", "history"}
	prints   = []string{"prints/job/pdf", "prints/worksheet/pdf"}
)

// everyPage goes to pages as a hand would, without loading anew, those of the job that is open by their last part:
// each comes to an end, runs off at no side, and what is printed of the job is there.
func everyPage(w *window, what string, list []string) {
	w.t.Helper()
	for _, wrong := range w.MustEval(`async (list, prints) => {
		const router = document.querySelector('#app').__vue_app__.config.globalProperties.$router
		const job = /^\/jobs\/[^/]+\//.exec(location.pathname)?.[0] ?? ''
		const bad = []
		for (const to of list) {
			await router.push(to.startsWith('/') ? to : job + to)
			for (let i = 0; i < 2000 && (i < 3 || document.querySelector('[aria-busy=true]') || !document.querySelector('main')?.textContent.trim()); i++) await new Promise((done) => setTimeout(done, 10))
			const main = document.querySelector('main')
			if (!main || !main.textContent.trim()) bad.push(to + ' is empty')
			if (document.querySelector('[aria-busy=true]')) bad.push(to + ' comes to no end')
			for (const el of document.querySelectorAll('main input')) if (el.type !== 'checkbox' && el.getClientRects().length && el.clientWidth < 60 && el.closest('.field')) bad.push(to + ' has a field of ' + el.clientWidth + ' px')
			if (document.documentElement.scrollWidth > innerWidth + 1) bad.push(to + ' runs ' + (document.documentElement.scrollWidth - innerWidth) + ' px off sideways')
		}
		if (job) for (const print of prints) {
			const res = await fetch('/api' + job + print)
			if (!res.ok || (await res.arrayBuffer()).byteLength < 2000) bad.push(print + ' is not printed')
		}
		return bad
	}`, list, prints).Arr() {
		w.t.Errorf("%s: %s", what, wrong.Str())
	}
}

// inSight makes the window one of those that stations are laid out for.
func inSight(w *window, s sight) {
	w.t.Helper()
	if err := w.SetViewport(&proto.EmulationSetDeviceMetricsOverride{Width: s.width, Height: s.height, DeviceScaleFactor: 1}); err != nil {
		w.t.Fatal(err)
	}
	w.MustEval(`(dark) => {
		if (!!document.querySelector('.v-theme--lamp') !== dark) document.querySelector('[aria-label="Light or dark"]').click()
	}`, s.dark)
}

// One station is one screen: in every drawer of every station of the demo jobs nothing
// scrolls, runs off, is cut off or lies on something else, the drawing has half of the room
// and fills it, and no label, value or box is empty. A drawer is opened once, and looked at in
// one window after the other. Make test has each drawer with one job in inches and with another in
// millimetres, make soak all with all in both.
func TestOneScreenAStation(t *testing.T) {
	t.Parallel()
	inches, metric := start(t, t.TempDir(), "127.0.0.1:0"), inMillimetres(t)
	for n, j := range demo.Jobs() {
		for unit, p := range map[string]*program{"inches": inches, "millimetres": metric} {
			var list []sight
			for _, s := range sights {
				if s.metric == (p == metric) && n < s.jobs {
					list = append(list, s)
				}
			}
			if len(list) == 0 {
				continue
			}
			// One drawer after the other is the turn of one job after the other, the units apart.
			turn := func(station, drawer int) bool {
				return soak.Long() || (station+drawer+n+map[bool]int{true: 3}[p == metric])%len(demo.Jobs()) == 0
			}
			together := map[bool]int{true: 3, false: len(job.Stations())}[soak.Long()]
			for part := range slices.Chunk(job.Stations(), together) {
				t.Run(j.Name+" in "+unit+" from "+part[0].ID, func(t *testing.T) {
					t.Parallel()
					w := openIn(t, browser(t), p, "/", list[0].width, list[0].height)
					w.openJob(j.Name)
					for _, station := range part {
						at := slices.IndexFunc(job.Stations(), func(s job.Station) bool { return s.ID == station.ID })
						if station.ID != "card" {
							w.click(`.strip a[href$="/` + station.ID + `"]`)
						}
						w.await(`.drawers[aria-label="Drawers of ` + station.ID + `"]`)
						if many := len(w.MustElements(".drawers [role=tab]")); many != len(station.Drawers) {
							t.Errorf("%s has %d drawers instead of %d", station.ID, many, len(station.Drawers))
						}
						for i, drawer := range station.Drawers {
							if !turn(at, i) {
								continue
							}
							w.drawer(drawer.ID)
							for _, s := range list {
								inSight(w, s)
								for _, what := range w.MustEval(looked, s.height > 600).Arr() {
									t.Errorf("%s, %s/%s: %s", s.name, station.ID, drawer.ID, what.Str())
								}
							}
							inSight(w, list[0])
						}
					}
					w.quiet()
					if part[0].ID == "card" && soak.Long() || !soak.Long() && (p == metric) != (n%2 == 1) {
						return
					}
					// The pages and prints of a job, too: the console stays empty over them.
					everyPage(w, j.Name, jobPages)
					for _, s := range list {
						if n > 0 {
							break
						}
						w.within("/") // where there is a lamp
						w.await(test("job"))
						inSight(w, s)
						everyPage(w, s.name, pages)
					}
					w.quiet()
				})
			}
		}
	}
}

// A drawer has an address and is remembered: with another job, at another station and after.
func TestDrawersHaveAddresses(t *testing.T) {
	w := begin(t)
	at := strings.TrimSuffix(w.openJob("Meteor-night invitation"), "card")
	shown := func(drawer string) {
		t.Helper()
		w.await(test("drawer") + `[data-drawer="` + drawer + `"]`)
	}
	w.goTo(at + "envelope/scoring")
	shown("scoring")
	w.drawer("finish")
	if here := w.MustInfo().URL; !strings.HasSuffix(here, "/envelope/finish") {
		t.Errorf("its address is %s", here)
	}
	w.click(test("ticket-mail"))
	shown("checks")
	w.station("Dome rota, holiday card", "envelope")
	shown("finish")
	w.goTo(at + "envelope/nowhere")
	shown("finish")
	w.quiet()
}

// Where many numbers change at a time, what they were takes only the room that the numbers leave.
func TestNumbersChangeTogether(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	for _, wide := range []int{1280, 1024, 820} {
		if wide != 820 && !soak.Long() {
			continue
		}
		w := openIn(t, browser(t), p, "/", wide, 800)
		w.openJob("Meteor-night thanks, square")
		for _, side := range []string{"30", "5 1/2", "28 63/64"} {
			w.fill("field-card.width", side)
			w.waitFor("no number to run into the next one while others change", func() (string, bool) {
				bad := w.MustEval(`() => {
					const all = [...document.querySelectorAll('.strip li')]
					if (all.filter((li) => li.querySelector('.was')).length < 3) return 'too few have changed'
					return all.filter((li) => {
						const text = document.createRange()
						text.selectNodeContents(li.querySelector('.value'))
						return text.getBoundingClientRect().right > li.getBoundingClientRect().right
					}).map((li) => li.textContent.trim()).join('; ')
				}`).Str()
				if bad != "" && !strings.HasPrefix(bad, "too few") {
					t.Fatalf("%d wide, %s: %s run into the next one", wide, side, bad)
				}
				return bad, bad == ""
			})
		}
		w.saved()
		w.quiet()
	}
}
