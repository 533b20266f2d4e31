package plan

import "yellowparcel/core/piece"

// cutNames are what is cut that is no part of the card is called.
var cutNames = map[piece.Role]string{piece.BlankRole: "Envelope blank", piece.LinerRole: "Envelope liner"}

// pieceID is what something that is cut is at the bench.
func pieceID(c piece.Cut) string {
	switch c.Role {
	case piece.BlankRole:
		return blankPiece
	case piece.LinerRole:
		return linerPiece
	}
	return c.ID
}

// cutName is what something that is cut is called.
func cutName(c piece.Cut) string {
	if c.Role == piece.PartRole {
		return c.Name
	}
	return cutNames[c.Role]
}
