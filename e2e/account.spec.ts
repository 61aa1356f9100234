/** The account from outside: a forgotten password set anew by the link of a message, signed out everywhere, everything out and away. */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { address, makeTeacher, newSampler, nothingSerious, signIn } from './pages.ts'

const FOLDER = join(process.env.LEMMATA_FOLDER ?? '', 'mail')

/** The link of the message to this address, once it lies there. */
async function linkTo(email: string): Promise<string> {
  let link = ''
  await expect(() => {
    const messages = readdirSync(FOLDER).map((file) => readFileSync(join(FOLDER, file), 'utf8'))
    link = /http\S+new-password=[\w-]+/.exec(messages.find((one) => one.startsWith(`To: ${email}`)) ?? '')?.[0] ?? ''
    expect(link).not.toBe('')
  }).toPass()
  return link
}

test('a forgotten password is set anew by the link of a message, and wherever else she was signed in she is not any more', async ({ page, browser }) => {
  const email = await makeTeacher(page)
  const elsewhere = await browser.newContext()
  const stranger = await elsewhere.newPage()
  await stranger.goto(`${address()}/sign-in`)
  await stranger.getByRole('button', { name: 'I have forgotten my password' }).click()
  await stranger.getByLabel('E-mail address').fill(email)
  await stranger.getByRole('button', { name: 'Send me a link' }).click()
  await expect(stranger.getByText('If there is an account with this address')).toBeVisible()
  await nothingSerious(stranger, 'a forgotten password')
  await stranger.goto(await linkTo(email))
  await stranger.getByLabel('New password').fill('drizzle on the roof')
  await stranger.getByRole('button', { name: 'Set the new password' }).click()
  await expect(stranger.getByText('Your new password is set')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible()
  await signIn(page, email, 'drizzle on the roof')
  await elsewhere.close()
})

test('everything that is kept goes out as a file, and away', async ({ page }) => {
  const email = await makeTeacher(page)
  await newSampler(page, 'Fog')
  await page.goto(`${address()}/account`)
  await expect(page.getByText('Signed in nowhere else')).toBeVisible()
  await nothingSerious(page, 'the account')
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save it as a file' }).click()])
  expect(readFileSync(await file.path(), 'utf8')).toContain('"name": "Fog"')
  await page.getByRole('button', { name: 'Delete the account' }).click()
  await page.getByLabel('Your password').fill('rain on the window')
  await nothingSerious(page, 'deleting the account')
  await page.getByRole('button', { name: 'Delete all of it' }).click()
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible()
  await page.getByLabel('E-mail address').fill(email)
  await page.getByLabel('Password').fill('rain on the window')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByText('do not go together')).toBeVisible()
})
