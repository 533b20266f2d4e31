package page

import "strings"

// name is what something on the bench is called.
func (p teller) name(id string) string {
	if n, ok := p.names[id]; ok {
		return "“" + n + "”"
	}
	for _, s := range p.Plan.Paper.Stocks {
		if at := strings.Index(id, " of "+s.ID); at >= 0 { // its paper comes last
			id = id[:at] + id[at+len(" of "+s.ID):] + " of " + s.Name
			break
		}
	}
	for piece, n := range p.names {
		if strings.HasSuffix(id, " of "+piece) || strings.Contains(id, " for "+piece) || strings.Contains(id, " of "+piece+",") {
			id = strings.Replace(id, piece, "“"+n+"”", 1)
		}
	}
	return id
}

// short is what a sheet or a strip is called: without its paper, where all is cut from one, or where it has
// a number, which no other has.
func (p teller) short(id string) string {
	numbered := strings.HasPrefix(id, "sheet ") && id[len("sheet ")] >= '1' && id[len("sheet ")] <= '9'
	if _, ok := p.names[id]; ok || p.papers > 1 && !numbered {
		return p.name(id)
	}
	for _, s := range p.Plan.Paper.Stocks {
		if at := strings.Index(id, " of "+s.ID); at >= 0 {
			return id[:at] + strings.TrimPrefix(id[at:], " of "+s.ID)
		}
	}
	return p.name(id)
}
