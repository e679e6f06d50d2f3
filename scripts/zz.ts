import { designFor } from '@/core/book/design';
import { plainDesign } from '@/core/book/plain';
import { roomFor, laidBook, layBook } from '@/core/book/flow';
import { planBook } from '@/core/book/plan';
import { beginProduct } from '@/core/product';
import { newProject } from '@/core/project/model';
import { perform, startHistory } from '@/core/project/history';
import { readProject, writeProject } from '@/core/project/file';
import { random } from '@/core/random';
import { nodeTypesetter } from './node/platform';
const t = await nodeTypesetter();
const next = random(3);
let time = Date.UTC(2026,2,14,10);
const photos = Array.from({length:200},(_,i)=>{ time += (next()<0.06? 9e7*20*next()+1e8 : 60000*next()*6); const p=next()<0.35; return { sha: i.toString(16).padStart(64,'0'), type:'image/jpeg', name:`p${i}.jpg`, bytes:9, width: p?2400:3600, height:p?3600:2400, orientation:1, ppi:300, taken:new Date(time).toISOString().slice(0,19), focus:{x:next(),y:next()}, notes:{...(next()<.2?{stars:5}:{}), ...(next()<.5?{place:'North beach, Saltmarsh'}:{})}} as never; });
const project = newProject({id:'b',title:'Kites',unit:'in'}, beginProduct('book',{width:720,height:576},'hard'));
console.time('design'); const design = designFor(plainDesign(), project); console.timeEnd('design');
for (const pages of [null, 40, 82]) {
console.time('plan'); const plan = planBook(photos, roomFor(design, project), {pages, chapters:true, oneOfAlike:true, seed:1}); console.timeEnd('plan');
console.log(plan.spreads.length, plan.chapters.length, plan.left.length, plan.soft.length, plan.empty, plan.when);
console.log(plan.spreads.map(s=>s.key.replace('spread-','')+(s.opens!==null?'*':'')+':'+s.photos.length).join(' '));
const map = new Map(photos.map((p:any)=>[p.sha,p])) as never;
console.time('lay'); const laid = laidBook(project, design, plan, map, {typesetter:t, newId:(()=>{let n=0;return ()=>`n${n++}`})()});
const h = perform(startHistory(project), layBook('flow', laid, design, photos), 0); console.timeEnd('lay');
const r = readProject(writeProject(h.project)); console.log(r.ok, r.ok && (r as any).mended);
}
