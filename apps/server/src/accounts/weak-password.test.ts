import { describe, expect, it } from 'vitest'
import { refuseWeak } from './weak-password.ts'

const NORA = { name: 'Nora Fellström', email: 'nora.fell@example.org' }
const isRefused = (password: string): boolean => {
  try {
    refuseWeak(password, NORA)
    return false
  } catch {
    return true
  }
}

describe('a password', () => {
  it.each(['1234567890', 'Password123', 'PASSWORD 123', 'qwertyuiop', 'aaaaaaaaaaaa', 'abababababab', '          '])('%s is guessed first', (password) => {
    expect(isRefused(password)).toBe(true)
  })
  it.each(['Nora Fellström', 'fellström2027', 'nora.fell@example.org', 'norafell1!'])('%s is her own name', (password) => {
    expect(isRefused(password)).toBe(true)
  })
  it.each(['rain on the window', 'drizzle on the roof', 'Fellström walks on moonlit hail', 'norse fells in fog', 'kälteeinbruch am see'])(
    '%s is one',
    (password) => {
      expect(isRefused(password)).toBe(false)
    },
  )
})
