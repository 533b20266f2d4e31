package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/job"
	"yellowparcel/core/line"
	"yellowparcel/core/say"
)

// LinePlan is what was understood of a line, and what was not.
type LinePlan struct {
	Chips  []ChipPlan `json:"chips"`
	Unread []string   `json:"unread"`
}

// ChipPlan is one thing that was understood.
type ChipPlan struct {
	Text  string `json:"text"`
	Means string `json:"means"`
}

// meanings are what the stretches of a line are called.
var meanings = map[line.Meaning]string{
	line.Sheet: "sheet", line.Square: "square", line.Score: "score", line.Mark: "first mark", line.Notch: "notch depth", line.Tabs: "tabs", line.Flap: "flap", line.Back: "back",
	line.Walls: "walls", line.Corners: "from each corner", line.OneEnd: "from one end", line.Repeat: "turned and repeated", line.Box: "box", line.Round: "folded round the card",
	line.Claim: "it is for", line.Limit: "limit",
}

// line is what was understood of the recipe as it was pasted.
func (w recipeWords) line(text string) *LinePlan {
	n := line.ReadRecipe(text, w.Style())
	p := &LinePlan{Chips: []ChipPlan{}, Unread: []string{}}
	for _, c := range n.Chips {
		chip := ChipPlan{Means: meanings[c.Meaning]}
		if c.Length > 0 { // a word is named by what it means
			chip.Text = n.Recipe.Text[c.From:c.To]
		}
		p.Chips = append(p.Chips, chip)
	}
	for _, u := range n.Unread {
		why := "not understood"
		if u.Err != nil {
			why = strings.TrimSuffix(u.Err.Error(), ".")
		}
		p.Unread = append(p.Unread, fmt.Sprintf("“%s”: %s", n.Recipe.Text[u.From:u.To], why))
	}
	return p
}

// pasteRecipe reads a recipe from a text.
func pasteRecipe(j job.Job, shop job.Shop, text string) (job.Job, error) {
	if strings.TrimSpace(text) == "" {
		return j, say.Refuse("Paste what the recipe says: the sheet, and where it is scored.")
	}
	if len(text) > line.Most {
		return j, say.Refuse("That is longer than a recipe: paste only its sheet and its scores.")
	}
	r := line.ReadRecipe(text, shop.Style()).Recipe
	if r.Side1 == 0 && r.Left == 0 && r.Top == 0 {
		return j, say.Refuse("No sheet and no score was found in it. Write it as “Cut 8 3/4 square, score at 3 and 8 3/8”.")
	}
	j.Recipe = &r
	return j, nil
}
