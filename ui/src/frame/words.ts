/** The words of the craft, each with what it means here; said where one first meets it. */
export const words: { word: string; what: string; find: RegExp }[] = [
  { word: 'Ease', what: 'Room between card and envelope, both sides together.', find: /\bease\b/i },
  { word: 'Seam', what: 'Where two flaps overlap and are glued.', find: /\bseams?\b/i },
  {
    word: 'Score',
    what: 'Press a line into the paper, so that it folds cleanly. Use a bone folder or a score board.',
    find: /\bscored?\b/i,
  },
  { word: 'Grain', what: 'The direction of the fibres. Paper folds best along it.', find: /\bgrain\b/i },
  { word: 'Throat', what: 'The open edge where the card goes in.', find: /\bthroat\b/i },
  {
    word: 'Finger gap',
    what: 'How far the back stays below the throat, so that a finger can reach the card.',
    find: /\bfinger gap\b/i,
  },
  {
    word: 'Liner',
    what: 'A thin sheet inside: in a card to write on, in an envelope for its pattern.',
    find: /\bliner\b/i,
  },
  {
    word: 'Corner reading',
    what: 'What the ruler of your score board reads at the corner of the sheet.',
    find: /\bcorner reading\b/i,
  },
  {
    word: 'Overhang',
    what: 'What stands out past the edge of the card, such as a bow.',
    find: /\boverhang\b/i,
  },
]
