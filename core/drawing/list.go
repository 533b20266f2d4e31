package drawing

// List is what is written out as a table: of pieces, of cuts. The first row names the columns.
type List struct {
	Columns []string
	Rows    [][]string
}
