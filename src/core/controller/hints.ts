/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const controllerHints: Readonly<Record<string, string>> = {
  'controller.axes.*.steps': 'Read it from the list of the controller’s settings, or let the link read it.',
  'controller.axes.*.topSpeed': 'Read it from the list of the controller’s settings, or let the link read it.',
  'controller.axes.*.acceleration': 'Read it from the list of the controller’s settings, or let the link read it.',
  'controller.axes.*.travel': 'Read it from the list of the controller’s settings, or let the link read it.',
  'controller.beam.fullPower': 'Read it from the list of the controller’s settings, or let the link read it.',
  'controller.beam.pwmFrequency': 'Read it from the list of the controller’s settings, or let the link read it.',
}
