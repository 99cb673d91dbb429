const shown = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font-family',
  'font-size',
  'text-anchor',
]

/** Drawings as they are seen, in one SVG file that needs no style sheet: each where it stands on the page, its caption above it. */
export function savedDrawing(figures: HTMLElement[], title: string): string {
  const boxes = figures.map((f) => f.getBoundingClientRect())
  const left = Math.min(...boxes.map((b) => b.left))
  const top = Math.min(...boxes.map((b) => b.top))
  const width = Math.max(...boxes.map((b) => b.right)) - left
  const height = Math.max(...boxes.map((b) => b.bottom)) - top
  const ground = getComputedStyle(document.body).backgroundColor
  const ink = getComputedStyle(document.body).color
  const head = 40
  const parts = figures.flatMap((figure, i) => {
    const svg = figure.querySelector('svg.drawing, .chart svg')
    if (!(svg instanceof SVGSVGElement)) return []
    const at = svg.getBoundingClientRect()
    const copy = svg.cloneNode(true) as SVGSVGElement
    inline(svg, copy)
    copy.setAttribute('x', String(at.left - left))
    copy.setAttribute('y', String(at.top - top + head))
    const caption = figure.dataset.caption ?? ''
    return [
      `<text x="${boxes[i]!.left - left + 8}" y="${boxes[i]!.top - top + head + 18}" font-size="14" font-weight="700" fill="${ink}">${escape(caption)}</text>`,
      new XMLSerializer().serializeToString(copy),
    ]
  })
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height + head}" font-family="sans-serif">`,
    `<rect width="100%" height="100%" fill="${ground}"/>`,
    `<text x="8" y="24" font-size="18" font-weight="700" fill="${ink}">${escape(title)}</text>`,
    ...parts,
    '</svg>',
  ].join('\n')
}

const escape = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')

function inline(from: Element, to: Element): void {
  const style = getComputedStyle(from)
  for (const name of shown) to.setAttribute(name, style.getPropertyValue(name))
  to.removeAttribute('class')
  for (let i = 0; i < from.children.length; i++) inline(from.children[i]!, to.children[i]!)
}
