package mat

import (
	"slices"

	"yellowparcel/core/measure"
)

// mostSheets is how many sheets lie on a mat at a time; with more of them nobody keeps them in line.
const mostSheets = 6

// sideBySide are the places of the sheets that lie on the mat edge on edge, row by row: with a corner where
// the cutter begins where all of them can be worked on, else in the middle.
func (m Mat) sideBySide(width, height measure.Length) (list []Paper) {
	if width <= 0 || height <= 0 || width > m.Width || height > m.Height {
		return nil
	}
	columns, rows := int(m.Width/width), int(m.Height/height)
	if columns > mostSheets {
		columns = mostSheets
	}
	rows = max(1, min(rows, mostSheets/columns))
	all := m.Lies(width*measure.Length(columns), height*measure.Length(rows))
	for r := range rows {
		for c := range columns {
			list = append(list, Paper{X: all.X + measure.Length(c)*width, Y: all.Y + measure.Length(r)*height, Width: width, Height: height})
		}
	}
	return list
}

// group is which ways of cutting a sheet lie on one mat, so many times.
type group struct {
	of    []int
	times int
}

// together puts sheets, each way of cutting one so many times, on mats that take some at a time: in the fewest
// mats that ask for no more kinds of them than there are ways.
func together(times []int, most int) (best []group) {
	mats := func(list []group) (n int) {
		for _, g := range list {
			n += g.times
		}
		return n
	}
	for i, n := range times {
		best = append(best, group{[]int{i}, n})
	}
	for _, list := range [][]group{byThemselves(times, most), mixed(times, most)} {
		if n := mats(list); len(list) <= len(times) && (n < mats(best) || n == mats(best) && len(list) < len(best)) {
			best = list
		}
	}
	return best
}

// byThemselves fills mats with sheets that are cut alike, and puts what is left of each together.
func byThemselves(times []int, most int) (list []group) {
	var rest []int
	for i, n := range times {
		if n >= most {
			list = append(list, group{slices.Repeat([]int{i}, most), n / most})
		}
		rest = append(rest, slices.Repeat([]int{i}, n%most)...)
	}
	for of := range slices.Chunk(rest, most) {
		list = append(list, group{of, 1})
	}
	return list
}

// mixed fills mats so that each is repeated as often as it can be.
func mixed(times []int, most int) (list []group) {
	left := slices.Clone(times)
	for {
		sum := 0
		for _, n := range left {
			sum += n
		}
		if sum == 0 {
			return list
		}
		filled := min(most, sum)
		often := 1
		for try := slices.Max(left); try > 1; try-- {
			places := 0
			for _, n := range left {
				places += n / try
			}
			if places >= filled {
				often = try
				break
			}
		}
		g := group{times: often}
		for i := range left {
			for left[i] >= often && len(g.of) < filled {
				g.of, left[i] = append(g.of, i), left[i]-often
			}
		}
		list = append(list, g)
	}
}

// On is what was laid on a smaller mat, laid on a larger one from the same corner; false where it does not go.
func (l Laid) On(m Mat) (Laid, bool) {
	if l.Mat.Width > m.Width || l.Mat.Height > m.Height || l.Mat.Margin < m.Margin {
		return l, false
	}
	l.Mat = m
	return l, true
}
