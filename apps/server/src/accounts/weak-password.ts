/** Passwords that are guessed first: those that many have, a run along the keyboard, and one's own name. */
import { HttpProblem } from '../http/problem.ts'

/** Of ten letters or more, in whichever case; shorter ones are refused for that. */
const COMMON = new Set([
  ...['1234567890', '0123456789', '12345678910', '0987654321', '1111111111', '0000000000', '123123123123', '1q2w3e4r5t', '1qaz2wsx3edc', 'q1w2e3r4t5'],
  ...['password12', 'password123', 'password1234', 'passw0rd123', 'passwordpassword', 'letmein123', 'welcome123', 'changeme123', 'administrator'],
  ...['qwertyuiop', 'qwertzuiop', 'azertyuiop', 'qwerty1234', 'qwerty12345', 'qwerty123456', 'asdfghjkl1', 'abcdefghij', 'abcd123456', 'abc1234567'],
  ...['iloveyou123', 'iloveyou12', 'sunshine123', 'princess123', 'football123', 'dragon1234', 'superman123', 'trustno1234', 'embroidery', 'embroidery1'],
])
/** Of how many different letters a password is at least. */
const LEAST_LETTERS = 4
/** A name this short may well be part of a good password. */
const SHORT_NAME = 4

const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')

/** 422 where it would be guessed. `of`: whose it is to be. */
export function refuseWeak(password: string, of: { readonly name: string; readonly email: string }): void {
  const given = plain(password)
  if (COMMON.has(password.toLowerCase()) || COMMON.has(given) || new Set(given).size < LEAST_LETTERS)
    throw new HttpProblem(422, 'account.common-password', 'This password is among the first that are guessed. Take a few words that nobody would put together.')
  const own = [of.name, of.email, of.email.split('@')[0] ?? '', ...of.name.split(/\s+/)].map(plain).filter((one) => one.length > SHORT_NAME)
  // What is left without her name must be a password still.
  if (own.some((name) => given.includes(name) && given.replace(name, '').length < 8))
    throw new HttpProblem(422, 'account.own-name', 'Your own name or address is hardly a secret. Take a few words that nobody would put together.')
}
