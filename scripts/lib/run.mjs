import { spawn, spawnSync } from 'node:child_process'

/** Runs to its end; a line every ten seconds says that it is still going. Resolves to the exit code. */
export function run(command, args, { cwd, env, quiet = false, patience } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd, env: env ?? process.env, stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit' })
    let kept = ''
    const keep = (chunk) => {
      kept = (kept + chunk).slice(-4000)
    }
    child.stdout?.on('data', keep)
    child.stderr?.on('data', keep)
    let waited = 0
    const tick = setInterval(() => {
      waited += 10
      if (patience) process.stdout.write(`  … ${patience} (${waited} s)\n`)
    }, 10_000)
    child.on('error', (error) => {
      clearInterval(tick)
      reject(error)
    })
    child.on('close', (code) => {
      clearInterval(tick)
      resolve({ code: code ?? 1, output: kept })
    })
  })
}

export function has(program) {
  return spawnSync('sh', ['-c', `command -v ${program}`], { stdio: 'ignore' }).status === 0
}
