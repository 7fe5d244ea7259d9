import { chromium } from '@playwright/test';
import { fill } from './bench/pages';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']});
const p=await (await b.newContext({baseURL:'http://localhost:4400',serviceWorkers:'block'})).newPage();
await p.goto('/log'); await p.getByText('34 entries').waitFor();
await fill(p,{sheets:5,log:5000,book:12});
await p.goto('/log'); await p.getByText('5000 entries').waitFor({timeout:60000}); await p.waitForTimeout(1500);
await p.goto('/settings'); await p.waitForTimeout(2000);
console.log(await p.evaluate(`(async()=>{
 const out=[]; const db=await new Promise(d=>{const r=indexedDB.open('keen-tempo'); r.onsuccess=()=>d(r.result)});
 const timed=async(name,f)=>{const t=performance.now(); const n=await f(); out.push(name+' '+(performance.now()-t).toFixed(0)+' '+n)};
 const req=(r)=>new Promise((d,f)=>{r.onsuccess=()=>d(r.result); r.onerror=()=>f(r.error)});
 for(let k=0;k<3;k++){
 await timed('keycursor',()=>new Promise(d=>{let n=0; const r=db.transaction('log').objectStore('log').index('[id+rev]').openKeyCursor(); r.onsuccess=()=>{const c=r.result; if(!c){d(n);return;} n++; c.continue();}}));
 await timed('getAllKeys',async()=>(await req(db.transaction('log').objectStore('log').getAllKeys())).length);
 await timed('digests getAll',async()=>(await req(db.transaction('digests').objectStore('digests').getAll())).length);
 await timed('getAllRecords',async()=>{const i=db.transaction('digests').objectStore('digests'); return i.getAllRecords?(await req(i.getAllRecords({count:10}))).length:'none'});
 await timed('both',async()=>{ const a=new Promise(d=>{let n=0; const r=db.transaction('log').objectStore('log').index('[id+rev]').openKeyCursor(); r.onsuccess=()=>{const c=r.result; if(!c){d(n);return;} n++; c.continue();}}); const c=req(db.transaction('digests').objectStore('digests').getAll()); await a; await c; return 1;});
 }
 db.close(); return out;})()`));
await b.close();
