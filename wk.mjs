import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './tests/chromiumFlags.mjs';
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:CHROMIUM_FLAGS});
const url=process.argv[2]??'http://127.0.0.1:4400';
const accs=await (await fetch(url+'/api/accounts')).json(); const a=(accs.find(x=>x.name.startsWith('Tarn'))??accs[0]).id;
for(const [p,q] of [['/field','&'],['/round','&step=harvest']]){
const ctx=await b.newContext({viewport:{width:1280,height:800}}); await ctx.addInitScript(()=>{localStorage.setItem('mowing-tour-at','-1'); window.__m=[]; const W=Worker; window.Worker=class extends W{constructor(...x){super(...x); window.__m.push('new '+Math.round(performance.now())); this.addEventListener('message',e=>window.__m.push('got '+Math.round(performance.now())+' '+(e.data?.id??'').slice(0,0)+(e.data?.type??'')))} postMessage(...m){window.__m.push('post '+(m[0]?.path??'')+' '+Math.round(performance.now())); super.postMessage(...m)}} });
for(let i=0;i<5;i++){ const page=await ctx.newPage(); const t=Date.now(); await page.goto(`${url}${p}?account=${a}${q}`,{waitUntil:'commit'}); const tc=Date.now()-t; await page.locator('main .table-row').first().waitFor(); const tr=Date.now()-t;
 if(i>2) console.log(p,tr,(await page.evaluate(()=>window.__m)).join(' | ').slice(0,1500));
 await page.close(); }
await ctx.close(); }
await b.close();
