/** `?` shows every shortcut; single letters are silent in fields. */
import { Button, Modal } from 'antd'
import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'

const SHORTCUTS: readonly (readonly [string, string])[] = [
  ['Alt+1 … Alt+8', 'the stages'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['Ctrl+K', 'find an exercise, a stitch, a stage, a command'],
  ['↑ ↓ in the list of exercises', 'the exercise before, after'],
  ['Alt+↑ Alt+↓ there', 'the exercise earlier, later'],
  ['F2 there', 'another name'],
  ['A letter there', 'the exercise of that letter; Shift+T the one of T'],
  ['Shift+T', 'put the stitch that is shown into the course'],
  ['T', 'teach the lesson of what is held, on the whole screen; there: → ← Page up Page down, S, F, H, R, Q, V, B, Esc'],
  ['D', 'draw with the tool used last; Esc puts it away'],
  ['M', 'measure from place to place, along what is held'],
  ['H', 'handles about what is held: turned and scaled by hand'],
  ['Shift while drawing', 'in steps of 15°; Alt: nowhere in particular'],
  ['Shift and a press, or a drag', 'hold several'],
  ['F', 'turn the cloth over'],
  ['W, G', 'stitches shown or hidden, marks shown or hidden'],
  [', and .', 'pitch of the selected exercise shorter, longer'],
  ['0, 8, 7, 9', 'the cloth, the hoop, what is held, true size'],
  ['+ and −', 'closer, further'],
  ['Arrow keys on a pin', 'move it by 1 mm, with Shift by 0.1 mm'],
  ['S, A, Delete on a pin', 'smooth or a corner, a place more, a place less'],
  ['↑ ↓, Alt+↑ Alt+↓ on a date', 'the lesson before, after; the date a day earlier, later'],
  ['Arrows, Enter, Space in the class', 'by cell, its card, can do it'],
  ['Space, Z at the cutting table', 'tick the next kit, take the last tick back'],
  ['↑ ↓ Home End in the stores', 'the thing before, after, first, last'],
  ['← → and Space in the hand', 'step back, step on, play'],
]

export function Shortcuts() {
  const [shown, setShown] = useState(false)
  useHotkeys('shift+slash', () => setShown(true))
  return (
    <>
      <Button onClick={() => setShown(true)} aria-label="Keyboard shortcuts" title="Keyboard shortcuts (?)">
        ?
      </Button>
      <Modal open={shown} onCancel={() => setShown(false)} footer={null} title="Keyboard">
        <dl className="facts-list" style={{ rowGap: 6 }}>
          {SHORTCUTS.map(([keys, what]) => (
            <div key={keys} style={{ display: 'contents' }}>
              <dt>{keys}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </Modal>
    </>
  )
}
