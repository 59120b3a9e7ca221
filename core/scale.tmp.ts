import { readFileSync } from 'node:fs'
import highsLoader from 'highs'
import { kitProblemOf, studyKit, choose, solveWith, LIBRARY, readDocument, shopDocumentSchema, type Shelf, type Job } from './src/index.ts'
const read = readDocument(shopDocumentSchema, JSON.parse(readFileSync('/work/main/demo/tollgate-orchard-works.json','utf8')))
if (!read.ok) throw 1
const demo:any = read.value
const [nj, nt] = [Number(process.argv[2] ?? 20), Number(process.argv[3] ?? 200)]
const machines = (count:number) => Array.from({ length: count }, (_, n) => {
  const one = demo.powerSources[n % demo.powerSources.length]
  const factor = 0.7 + ((n * 37) % 60) / 100
  const processes = one.processes.map((p:any) => ({ ...p, supplies: p.supplies.map((s:any) => ({ ...s, outputMaxA: s.outputMaxA * factor, ratedPoints: s.ratedPoints.map((q:any) => ({ ...q, currentA: q.currentA * factor })) })) }))
  return { ...one, id: `machine-${n}`, name: `${one.name} ${n}`, held: 'candidate', price: Math.round(500 + 4000 * factor ** 2 + ((n * 397) % 900)), processes }
})
const again = (list:any[], count:number, priced:boolean) => Array.from({length: count}, (_, n) => { const r = list[n % list.length]; return {...r, id: `${r.id}-${n}`.slice(0,60), name: `${r.name} ${n}`, ...(priced ? {held: n%3===0 ? 'owned':'candidate', price: 100 + ((n*137)%900)} : {})} })
const share = (x:number)=>Math.max(1,Math.round(nt*x))
const lib = (path:string)=>LIBRARY.flatMap((e)=>e.path===path?[e.record]:[])
const shelf: Shelf = { ...demo, powerSources: machines(share(0.4)) as any, guns: again([...demo.guns, ...lib('guns')], share(0.15), true), circuits: again(demo.circuits, share(0.03), true), wires: again([...demo.wires, ...lib('wires')], share(0.12), false), gases: again([...demo.gases, ...lib('gases')], share(0.03), false), parts: again(demo.parts, share(0.27), true), feeders: demo.feeders }
const jobs: Job[] = Array.from({length: nj}, (_, n) => { const job = demo.jobs[n % demo.jobs.length]; const f = 0.6 + (Math.floor(n/demo.jobs.length) % Number(process.argv[4] ?? 5)) / 4; return {...job, id: `job-${n}`, joints: job.joints.map((j:any)=>({...j, lengthMm: j.lengthMm*f})), timesPerYear: 1 + (n % 12)} })
let t = performance.now()
const p = kitProblemOf({shop: demo.shop, shelf, setUps: [], jobs, seeksAll: true})
console.log('problem', Math.round(performance.now()-t), 'ways', [...new Set(p.jobs.map(j=>j.ways))].map(w=>w.length).join(' '), 'items', p.items.length, 'undoable', p.undoable.length, p.isWhole)
t = performance.now()
const s = choose(p, solveWith(await highsLoader(), 60), {})
console.log('solve', Math.round(performance.now()-t), s?.kit.total, s?.proof)
if (process.argv[5]) { const j = p.jobs[Number(process.argv[5])]; const by = new Map<string,number>(); for (const w of j.ways) { const k = w.needs.map(n=>n.split(' ')[0]).sort().join('+'); by.set(k,(by.get(k)??0)+1) } console.log(j.id, [...by].sort((a,b)=>b[1]-a[1]).slice(0,15)); const one = j.ways.filter(w=>w.needs.some(n=>n.includes('machine-9'))); for (const w of one.slice(0,40)) console.log(w.costPerRun.toFixed(2), w.tightCost.toFixed(2), [...w.needs, ...w.oneOf.map(o=>"("+o.map(x=>x.join("+")).join("|")+")")].join(' | '), p.found.get(w.setUpId)?.capability.powerSource?.name) }
if (process.env.DUMP) { const lines = p.jobs.flatMap(j=>j.ways.map(w=>j.id+' '+(w.costPerRun+w.tightCost).toFixed(3)+' '+w.verdict+' '+[...w.needs].sort().join('|')+JSON.stringify(w.oneOf)+' '+p.found.get(w.setUpId)!.capability.circuit?.name+' '+p.found.get(w.setUpId)!.capability.gun?.name+' '+p.found.get(w.setUpId)!.capability.wire?.name+' '+p.found.get(w.setUpId)!.capability.gas?.name+' '+p.found.get(w.setUpId)!.capability.process.id)).sort(); const { writeFileSync } = await import('node:fs'); writeFileSync(process.env.DUMP, lines.join('\n')) }
console.log((globalThis as any).cnt)
