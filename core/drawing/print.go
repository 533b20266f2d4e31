package drawing

// Print is what is printed to be read at the table: blocks one below the other.
type Print struct {
	Title string
	// OnePage is made smaller until it goes on one page; Wide lies on its side.
	OnePage, Wide bool
	// Fill is made as large as one page lets it be, rows further apart where there is room left.
	Fill   bool
	Blocks []Block
}

// Block is one of them: what of it is empty is not printed.
type Block struct {
	Head string
	// Large is a number to be read from a metre off, Text a paragraph, Lines are items of a list.
	Large, Text string
	Lines       []string
	// Table has its head in the first row.
	Table [][]string
	// Pictures stand beside each other, each made as large as there is room for.
	Pictures []Picture
	// Rules are lines to write on, so many.
	Rules int
	// Keep is set where it does not part over two pages.
	Keep bool
}

// Picture is a drawing with its size, made small.
type Picture struct {
	Drawing
	Name, Size string
}
