import { mkdtempSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'esbuild'
import Database from 'better-sqlite3'
const outfile='/tmp/pp.mjs'
await build({ stdin:{contents:`export * from './src/core/piece'; export {checkRoute} from './src/core/rules'; export * from './src/core/kits'`,resolveDir:'.',loader:'ts'}, outfile, bundle:true, platform:'node', format:'esm', logLevel:'error'})
const m = await import(outfile)
const { KIT } = {}
const db=new Database('data/demo.db',{readonly:true})
const { head_revision_id: revision } = db.prepare("SELECT id, head_revision_id FROM pieces WHERE name = 'Night-lamp pendant'").get()
const design = JSON.parse(db.prepare('SELECT design_json FROM piece_revisions WHERE id = ?').get(revision).design_json)
  const bail = design.parts.find((part) => part.id === 'bail')
  const ball = design.parts.find((part) => part.id === 'balls')
  const more = Array.from({ length: 12 - design.parts.length - 1 }, (_, i) => ({ ...ball, id: `grain-${i}`, name: `Grain ${i + 1}`, count: 1 }))
  design.parts.push({ ...bail, id: 'links', name: 'Links', count: 60 }, ...more)
  const put = (small, place, kind, role) => ({ id: `${small}-on`, kind, members: [ { thing: small, place }, { thing: 'plate', place: 'face' } ], ...(role ? { role } : {}) })
  design.joints.push(...more.map(({ id }) => put(id, 'base', 'point', 'applied')), put('links', 'inside', 'link'))
const T=(n,f)=>{ let r; for(let k=0;k<4;k++){const b=performance.now(); r=f(); console.log(n,(performance.now()-b).toFixed(0))} return r}
const plan=T('plan',()=>m.planPiece(design))
console.log('steps',plan.steps.length, 'parts', plan.parts.length, plan.issues.length)
T('check',()=>m.checkRoute({...plan.assembly}))
T('temper',()=>m.routeTemper(plan.assembly,m.metalsOf(plan)))
T('strands',()=>m.strandsOf({...plan.assembly}))
T('sizes',()=>m.sizesAlong(plan,m.routeTemper(plan.assembly,m.metalsOf(plan))))
const st=T('standing',()=>m.standingPiece(plan,design))
T('views',()=>m.standingViews(st))
T('torch',()=>m.torchBook(plan))
