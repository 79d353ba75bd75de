import { spawn } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { FolderTaken, folderHolder, holdFolder, letFolderGo } from '@/server/folder-lock'
import { tempFolder } from '../support/temp-db'

const before = process.env.FOLD_ANVIL_DATA
let folder = ''
const lock = () => join(folder, 'in-use.json')
beforeEach(() => {
  folder = tempFolder()
  process.env.FOLD_ANVIL_DATA = folder
})
afterEach(() => {
  letFolderGo()
  process.env.FOLD_ANVIL_DATA = before ?? ''
})

it('holds the folder with its process and address, and lets it go', () => {
  holdFolder('http://127.0.0.1:4310')
  expect(folderHolder()).toMatchObject({ pid: process.pid, address: 'http://127.0.0.1:4310' })
  letFolderGo()
  expect(existsSync(lock())).toBe(false)
})
it('is refused where another living process has it, which is named with its address', () => {
  const other = spawn('sleep', ['30'])
  writeFileSync(lock(), JSON.stringify({ pid: other.pid, began: '', address: 'http://127.0.0.1:4999', since: '2027-01-01' }))
  try {
    expect(() => holdFolder()).toThrow(FolderTaken)
    expect(() => holdFolder()).toThrow(/process \d+, since 2027-01-01\)\. Open http:\/\/127\.0\.0\.1:4999 in a browser/)
  } finally {
    other.kill('SIGKILL')
  }
})
it.each([
  ['of a process that is gone', { pid: 999_999_9, began: '', address: '', since: '' }],
  ['of a number that another process has now', { pid: 1, began: '123456789', address: '', since: '' }],
  ['that cannot be read', 'half a fi'],
])('a lock %s is taken over', (_, left) => {
  writeFileSync(lock(), typeof left === 'string' ? left : JSON.stringify(left))
  holdFolder('mine')
  expect(JSON.parse(readFileSync(lock(), 'utf8'))).toMatchObject({ pid: process.pid, address: 'mine' })
})
