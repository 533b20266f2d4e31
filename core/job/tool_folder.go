package job

import "yellowparcel/core/field"

// folder presses folds, and scores along a ruler.
var folder = Tool{ID: FolderTool, Name: "Bone folder", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, FolderTool)}
}}
