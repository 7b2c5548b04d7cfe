/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const workHints: Readonly<Record<string, string>> = {
  'work.sheetWidth': 'Along X as it lies on the bed; an offcut is measured where it is narrowest.',
  'work.sheetHeight': 'Along Y as it lies on the bed.',
  'work.sheetX': 'Jog the head over the left edge and read X, or lay the sheet against a fence.',
  'work.sheetY': 'Jog the head over the lower edge and read Y, or lay the sheet against a fence.',
  'work.fenceX': 'Its lines are burnt there; ± is how well its edge is laid along them.',
  'work.fenceY': 'Its lines are burnt there; ± is how well its edge is laid along them.',
  'work.margin': 'Edges of a sheet are rarely straight, and a part that loses its edge is lost.',
  'work.kerf': 'A kerf trial measures it; until then half of this is left on either side of a cut.',
  'work.tolerance': 'Curves are followed by arcs and short lines; 0.01 mm is not seen, and less makes long programs.',
}
