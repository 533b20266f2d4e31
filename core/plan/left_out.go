package plan

import (
	"yellowparcel/core/job"
	"yellowparcel/core/say"
)

// onlyNames are what alone is made.
var onlyNames = map[job.Only]string{job.OnlyEnvelope: "envelope", job.OnlyLayers: "layers", job.OnlyBase: "base"}

// leftOut says at each station that what it tells is not made, where one thing alone of the job is.
func leftOut(j job.Job, p *Plan) {
	if j.Paper.Only == "" || j.Card.Made {
		return
	}
	for _, of := range []struct {
		made  bool
		name  string
		notes *[]say.Note
	}{
		{job.MakesBase(j), "base is", &p.Card.Notes}, {job.MakesLayers(j), "layers are", &p.Layers.Notes},
		{job.MakesEnvelope(j) || j.Mail.WithoutEnvelope(), "envelope is", &p.Envelope.Blank.Notes},
	} {
		if !of.made {
			*of.notes = append(*of.notes, say.Care.Says("You make only the "+onlyNames[j.Paper.Only]+" of this job: the "+of.name+" in no cuts or files."))
		}
	}
}
