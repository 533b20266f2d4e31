package format

import (
	"encoding/csv"
	"io"
	"strings"

	"yellowparcel/core/drawing"
)

// csvFormat is for lists.
var csvFormat = Format{ID: "csv", Name: "CSV", For: "spreadsheets", Kind: "text/csv; charset=utf-8", List: writeCSV}

// writeCSV writes a list as RFC 4180 has it. A text that a spreadsheet would take for a formula
// gets an apostrophe before it.
func writeCSV(w io.Writer, l drawing.List) error {
	out := csv.NewWriter(w)
	out.UseCRLF = true
	for _, row := range append([][]string{l.Columns}, l.Rows...) {
		safe := make([]string, len(row))
		for i, cell := range row {
			if cell != "" && strings.ContainsRune("=+-@\t\r", rune(cell[0])) {
				cell = "'" + cell
			}
			safe[i] = cell
		}
		if err := out.Write(safe); err != nil {
			return err
		}
	}
	out.Flush()
	return out.Error()
}
