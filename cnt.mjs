import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './tests/chromiumFlags.mjs';
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:CHROMIUM_FLAGS});
const url=process.argv[2]??'http://127.0.0.1:4400';
const accs=await (await fetch(url+'/api/accounts')).json(); const a=(accs.find(x=>x.name.startsWith('Tarn'))??accs[0]).id;
for(const [p,q] of [['/field','&'],['/round','&step=harvest'],['/field','&by=campaign'],['/setup','&tab=products']]){
const ctx=await b.newContext({viewport:{width:1280,height:800}}); await ctx.addInitScript(()=>localStorage.setItem('mowing-tour-at','-1'));
const ts=[];
for(let i=0;i<6;i++){ const page=await ctx.newPage(); const t=Date.now(); await page.goto(`${url}${p}?account=${a}${q}`,{waitUntil:'commit'}); await page.locator('main .table-row').first().waitFor(); ts.push(Date.now()-t); 
 if(i==5){ await page.waitForTimeout(1500); console.log(p+q, ts.join(' ')); console.log(await page.evaluate(()=>{const m={};let n=0,all=0; for(const e of document.querySelectorAll('*')){all++; const c=[...e.classList]; if(c.some(x=>x.startsWith('css-'))){n++; const k=c.find(x=>x.startsWith('Mui'))??e.tagName; m[k]=(m[k]??0)+1}} return all+' elements, styled '+n+': '+Object.entries(m).sort((x,y)=>y[1]-x[1]).slice(0,24).map(x=>x.join(' ')).join(', ')+' | rules '+[...document.styleSheets].map(s=>s.cssRules.length)})) }
 await page.close(); }
await ctx.close(); }
await b.close();
