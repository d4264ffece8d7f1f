/** The place on a drawing under a pointer, in the units of the drawing. @param {SVGSVGElement} svg @param {{clientX: number, clientY: number}} event */
export function place(svg, event) {
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()?.inverse());
  return { x: at.x, y: at.y };
}
