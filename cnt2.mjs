import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './tests/chromiumFlags.mjs';
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:CHROMIUM_FLAGS});
const url=process.argv[2]??'http://127.0.0.1:4400';
const accs=await (await fetch(url+'/api/accounts')).json(); const a=(accs.find(x=>x.name.startsWith('Tarn'))??accs[0]).id;
for(const [p,q] of [['/field','&'],['/round','&step=harvest']]){
const ctx=await b.newContext({viewport:{width:1280,height:800}}); await ctx.addInitScript(()=>{localStorage.setItem('mowing-tour-at','-1'); window.__m={}; const mo=new MutationObserver(()=>{const f=(k,s)=>{ if(!(k in window.__m)&&document.querySelector(s)) window.__m[k]=Math.round(performance.now())}; f('body','body'); f('muishell','.MuiButtonBase-root'); f('main','main'); f('tabs','.MuiTabs-root'); f('step','main .MuiButtonBase-root'); f('rows','main .table-row')}); mo.observe(document,{childList:true,subtree:true}); });
for(let i=0;i<5;i++){ const page=await ctx.newPage(); const t=Date.now(); await page.goto(`${url}${p}?account=${a}${q}`,{waitUntil:'commit'}); const tc=Date.now()-t; await page.locator('main .table-row').first().waitFor(); const tr=Date.now()-t;
 const r=await page.evaluate(()=>({m:window.__m, nav:(({responseStart,responseEnd,domInteractive})=>({responseStart,responseEnd,domInteractive}))(performance.getEntriesByType('navigation')[0]), marks:performance.getEntriesByType('resource').filter(x=>x.name.includes('/api/')).map(x=>x.name.split('/api/')[1].slice(0,40)+' '+Math.round(x.startTime)+'-'+Math.round(x.responseEnd)) , js: performance.getEntriesByType('resource').filter(x=>/\.js/.test(x.name)).map(x=>x.name.split('/').pop().split('.')[0]+' '+Math.round(x.startTime)+'-'+Math.round(x.responseEnd)).slice(0,60), paint:performance.getEntriesByType('paint').map(x=>x.name+Math.round(x.startTime))}));
 if(i>2) console.log(p,'commit',tc,'rows',tr,JSON.stringify(r.m),JSON.stringify(r.nav),r.paint.join(' '),'\n ',r.marks.join(' | '),'\n  ',i==4?r.js.join(' | '):'');
 await page.close(); }
await ctx.close(); }
await b.close();
