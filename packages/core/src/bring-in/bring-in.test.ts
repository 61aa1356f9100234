/** Outlines from files: sizes by hand, what is left out, and five hundred files that mean no good. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawSampler, writeSvg } from '../drawing/index.ts'
import { workSampler } from '../exercise/index.ts'
import { nearestPlace, parsePath } from '../geometry/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { readSvg } from './index.ts'

const svg = (inside: string, head = 'width="100mm" height="50mm" viewBox="0 0 200 100"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`
const brought = (text: string, options = {}) => {
  const read = readSvg(text, options)
  if (!read.ok) throw new Error(read.problems[0]?.code)
  return read
}
const paths = (text: string, options = {}): readonly string[] => brought(text, options).value.guides.map((one) => one.guide.path)
const codes = (text: string): readonly string[] => readSvg(text).problems.map((one) => one.code)

describe('what is drawn', () => {
  it('lies in millimetres: two units of this file are one', () => {
    const read = brought(svg('<path d="M 20 20 L 120 20" id="rain"/>'))
    expect(read.value).toEqual({ guides: [{ name: 'rain', layer: null, guide: { kind: 'line', path: 'M10 10L60 10' } }], widthMm: 100, heightMm: 50 })
  })

  it('in pixels where no unit is said, 96 to the inch; or as large as one says', () => {
    expect(paths(svg('<line x1="0" y1="0" x2="96" y2="0"/>', 'width="200" height="100"'))).toEqual(['M0 0L25.4 0'])
    expect(paths(svg('<line x1="0" y1="0" x2="96" y2="0"/>', ''), { mmPerUnit: 1 })).toEqual(['M0 0L96 0'])
    expect(paths(svg('<line x1="10" y1="10" x2="20" y2="10"/>', 'width="10cm" viewBox="10 10 50 50"'))).toEqual(['M0 0L20 0'])
  })

  it('groups move and turn what lies in them, the outermost last; names and layers come along', () => {
    const read = brought(
      svg(
        '<g id="Weather" transform="translate(20 0)"><g inkscape:label="Cloud" transform="scale(2)"><rect x="0" y="0" width="10" height="5" id="foot"/></g></g>',
      ),
    )
    // 10 by 5, twice as large, 20 to the right, halved to millimetres.
    expect(read.value.guides).toEqual([{ name: 'foot', layer: 'Weather', guide: { kind: 'shape', path: 'M10 0H20V5H10Z' } }])
  })

  it('a circle of radius 20 units is 20 mm across, closed; a path of two parts is two guides', () => {
    const [circle] = paths(svg('<circle cx="50" cy="50" r="20"/>'))
    const parsed = parsePath(circle ?? '')
    expect(parsed.ok && parsed.value.closed && parsed.value.length).toBeCloseTo(Math.PI * 20, 1)
    expect(paths(svg('<path d="M 0 0 L 40 0 m 0 10 l 40 0 l 0 20 z"/>'))).toHaveLength(2)
    expect(paths(svg('<polygon points="0,0 20,0 20,20"/><polyline points="0 0 20 0 20 20"/>'))).toHaveLength(2)
  })

  it('a box with rounded corners keeps them', () => {
    const [rounded] = paths(svg('<rect x="0" y="0" width="80" height="40" rx="8"/>'))
    const parsed = parsePath(rounded ?? '')
    // 40 by 20 mm with corners of 4: 32 and 12 twice, and a whole circle.
    expect(parsed.ok && parsed.value.length).toBeCloseTo(88 + 8 * Math.PI, 1)
  })

  it('what is hidden or only defined is not; words, pictures and scripts are counted', () => {
    const text = svg(
      '<defs><path d="M0 0L40 0"/></defs><path display="none" d="M0 0L40 0"/><g style="display:none"><path d="M0 0L40 0"/></g>' +
        '<text>Rain<tspan>y</tspan></text><text/><image href="x.png"/><script>alert(1)</script><use href="#a"/><path d="M 0 0 L 40 40"/><path d="M 0 0 L 0.1 0"/><path d="zzz"/>',
    )
    const read = brought(text)
    expect(read.value.guides).toHaveLength(1)
    expect(read.problems.map(({ code, figures }) => [code, figures.count, figures.what])).toEqual([
      ['svg.left-out', 2, 'words'],
      ['svg.left-out', 1, 'pictures'],
      ['svg.left-out', 1, 'scripts'],
      ['svg.left-out', 1, 'repeated parts'],
      ['svg.outlines-unreadable', 1, undefined],
      ['svg.specks', 1, undefined],
    ])
  })
})

describe('what goes out comes back', () => {
  it('marks of a sampler, in their layer, within a hundredth of a millimetre', () => {
    const drawn: Sampler = {
      ...newSampler('There and back'),
      workingHoop: undefined,
      drawing: {
        groups: [],
        guides: [
          { id: 'a', guide: { kind: 'line', path: 'M 40 60 C 70 30 100 90 130 61.5' } },
          { id: 'b', guide: { kind: 'shape', path: 'M 60 120 C 75 100 105 100 120 120 C 105 140 75 140 60 120 Z' } },
        ],
      },
      exercises: [
        { id: 'e', name: 'Front', stitch: 'stem-stitch', on: [{ guide: 'a' }], marks: 'guide-only' },
        { id: 'f', name: 'Leaf', stitch: 'satin-stitch', on: [{ guide: 'b' }], marks: 'guide-only' },
      ],
    }
    const { done } = workSampler(drawn)
    const marks = done.flatMap((one) => one.pieces.flatMap((piece) => piece.marks.flatMap((mark) => (mark.kind === 'line' ? [mark.points] : []))))
    const file = writeSvg(drawSampler(drawn, done, { side: 'front', worked: false, marks: true }))
    const back = brought(file).value.guides.filter((one) => one.layer === 'marks')
    for (const points of marks) {
      const nearest = back.map(({ guide }) => {
        const parsed = parsePath(guide.path)
        return parsed.ok ? Math.max(...points.map((at) => nearestPlace(parsed.value, at).distance)) : Infinity
      })
      expect(Math.min(...nearest)).toBeLessThan(0.01)
    }
    expect(marks.length).toBeGreaterThan(1)
  })
})

describe('what is refused', () => {
  it('says why', () => {
    expect(codes('')).toEqual(['svg.unreadable'])
    expect(codes('{"a":1}')).toEqual(['svg.unreadable'])
    expect(codes('<html><body/></html>')).toEqual(['svg.not-svg'])
    expect(codes(svg(''))).toEqual(['svg.no-outlines'])
    expect(codes(svg('<path d="M0 0L9 9">'))).toEqual(['svg.unreadable'])
    expect(codes(`${'<g>'.repeat(200)}`)).toEqual(['svg.not-svg'])
    expect(codes(svg(`${'<g>'.repeat(200)}${'</g>'.repeat(200)}`))).toEqual(['svg.too-deep'])
    expect(codes(' '.repeat(5_000_001))).toEqual(['svg.too-large'])
  })

  it('entities are not resolved: neither a file of the machine nor a billion laughs', () => {
    const outside = `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>${svg('<text>&x;</text><path d="M0 0L9 9"/>')}`
    expect(codes(outside)).toEqual(['svg.unreadable'])
    const laughs = `<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]>${svg('<path d="M0 0L9 9" id="&b;"/>')}`
    expect(codes(laughs)).toEqual(['svg.unreadable'])
  })

  it('five hundred files that mean no good are refused or cleaned, none hangs and none is taken for more than outlines', () => {
    const hostile = fc.constantFrom(
      '<script>globalThis.harmed = true</script>',
      '<path d="M0 0L40 40" onload="globalThis.harmed = true"/>',
      '<a href="javascript:globalThis.harmed = true"><path d="M0 0L40 0"/></a>',
      '<foreignObject><iframe src="http://127.0.0.1/"/></foreignObject>',
      '<path d="M NaN Infinity L 1e999 -1e999"/>',
      '<path d="M0 0 A 1e308 1e308 0 0 1 1e308 5"/>',
      '<g transform="scale(1e200)"><path d="M0 0L40 0"/></g>',
      '<g transform="rotate(nonsense)"><path d="M0 0L40 0"/></g>',
      '<rect width="-5" height="1e400"/>',
      '<circle r="NaN"/>',
      '<polygon points="1,2,x,y,,,"/>',
      '<use href="#self" id="self"/>',
      '<image href="file:///etc/passwd"/>',
      '<style>@import url(http://127.0.0.1/)</style>',
      '&undefined;',
      '<!-- -- -->',
      '<![CDATA[<script>globalThis.harmed = true</script>]]>',
      '<path d="M0 0',
      '</g>',
      '\u0000\uFFFE',
      `<path d="M0 0${'L1 1'.repeat(900)}"/>`,
      '<path d="M10 10L50 10"/>',
    )
    fc.assert(
      fc.property(
        fc.array(fc.oneof(hostile, fc.string({ maxLength: 40 })), { maxLength: 12 }),
        fc.constantFrom('', 'viewBox="0 0 0 0"', 'viewBox="a b c d" width="-3mm"', 'width="1e99in"'),
        (parts, head) => {
          const read = readSvg(svg(parts.join(''), head))
          for (const { guide } of read.ok ? read.value.guides : []) {
            expect(Object.keys(guide).sort()).toEqual(['kind', 'path'])
            expect(guide.path).toMatch(/^[MmLlHhVvCcSsQqTtAaZz\d\s.,e+-]+$/)
            expect(parsePath(guide.path).ok).toBe(true)
          }
          expect(globalThis).not.toHaveProperty('harmed')
        },
      ),
      { numRuns: 500 },
    )
  })
})
