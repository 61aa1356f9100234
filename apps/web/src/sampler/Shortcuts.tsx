/** `?` shows every shortcut; single letters are silent in fields. */
import { Button, Modal } from 'antd'
import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'

const SHORTCUTS: readonly (readonly [string, string])[] = [
  ['Alt+1 … Alt+6', 'the stages'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['↑ ↓ in the list of exercises', 'the exercise before, after'],
  ['F', 'turn the cloth over'],
  ['W, G', 'stitches shown or hidden, marks shown or hidden'],
  [', and .', 'pitch of the selected exercise shorter, longer'],
  ['0, 9', 'fit the cloth to the window, true size'],
  ['+ and −', 'closer, further'],
  ['Arrow keys on a handle', 'move it by 0.5 mm, with Shift by 5 mm'],
  ['← → and Space in the hand', 'step back, step on, play'],
]

export function Shortcuts() {
  const [shown, setShown] = useState(false)
  useHotkeys('shift+slash', () => setShown(true))
  return (
    <>
      <Button size="small" onClick={() => setShown(true)} aria-label="Keyboard shortcuts" title="Keyboard shortcuts (?)">
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
