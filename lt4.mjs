// long tasks of a visit: node lt.mjs PATH QUERY [url] [account name]
import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './tests/chromiumFlags.mjs';
import fs from 'node:fs';
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:CHROMIUM_FLAGS});
const url=process.argv[4]??'http://127.0.0.1:4400';
const accs=await (await fetch(url+'/api/accounts')).json(); const a=(accs.find(x=>x.name.startsWith(process.argv[5]??'Tarn'))??accs[0]).id;
const ctx=await b.newContext({viewport:{width:1280,height:800}}); await ctx.addInitScript(()=>localStorage.setItem('mowing-tour-at','-1'));
for(let i=0;i<3;i++){const p=await ctx.newPage(); await p.goto(`${url}${process.argv[2]??'/round'}?account=${a}${process.argv[3]??'&step=harvest'}`); await p.locator('main .table-row').first().waitFor(); await p.waitForTimeout(2500); await p.close()} const page=await ctx.newPage(); await page.goto('about:blank');
await b.startTracing(page,{categories:["devtools.timeline","toplevel","v8","disabled-by-default-network","loading"]});
const t0=Date.now();
await page.goto(`${url}${process.argv[2]??'/round'}?account=${a}${process.argv[3]??'&step=harvest'}`); await page.locator('main .table-row').first().waitFor(); const rows=Date.now()-t0; await page.waitForTimeout(1500);
const buf=await b.stopTracing(); await b.close(); fs.writeFileSync('/tmp/trace.json',buf);
const ev=JSON.parse(buf).traceEvents;
const threads={}; for(const e of ev) if(e.name==='thread_name') threads[e.pid+':'+e.tid]=e.args.name;
// renderer main with the most events of FunctionCall
const cnt={}; for(const e of ev) if(e.name==='EvaluateScript') cnt[e.pid+':'+e.tid]=(cnt[e.pid+':'+e.tid]??0)+1;
const main=Object.entries(cnt).filter(([k])=>threads[k]==='CrRendererMain').sort((x,y)=>y[1]-x[1])[0][0];
const me=ev.filter(e=>e.pid+':'+e.tid===main&&e.ph==='X'&&e.dur).sort((x,y)=>x.ts-y.ts);
const nav=me.find(e=>e.name==='EvaluateScript')?.ts??me[0].ts; const start=Math.min(...ev.filter(e=>e.name==='ResourceSendRequest').map(e=>e.ts));
console.log('rows at',rows);
const byName={}; for(const e of me){ if(['RunTask','ThreadControllerImpl::RunTask'].includes(e.name)) continue; byName[e.name]=(byName[e.name]??0)+e.dur/1000 }
// self time
const st=[]; const self={}; for(const e of me){ while(st.length&&st[st.length-1].ts+st[st.length-1].dur<=e.ts) st.pop(); if(st.length){ self[st[st.length-1].name]-=e.dur/1000 } self[e.name]=(self[e.name]??0)+e.dur/1000; st.push(e) }
console.log('self', Object.entries(self).sort((x,y)=>y[1]-x[1]).slice(0,22).map(([k,v])=>k+' '+v.toFixed(0)).join(', '));
const tasks=me.filter(e=>/RunTask$/.test(e.name)&&e.dur>3000&&e.ts>=start);
for(const t of tasks){ const inside=me.filter(e=>e!==t&&e.ts>=t.ts&&e.ts+e.dur<=t.ts+t.dur+1&&e.dur>1500&&!/RunTask/.test(e.name));
 console.log(((t.ts-start)/1000).toFixed(0).padStart(6),(t.dur/1000).toFixed(0)+' ms', inside.slice(0,14).map(e=>e.name+' '+(e.dur/1000).toFixed(0)+(e.args?.data?.url?' '+e.args.data.url.split('/').pop().slice(0,24):'')+(e.args?.data?.functionName?' '+e.args.data.functionName:'')+(e.args?.fileName?' '+e.args.fileName.split('/').pop().slice(0,24):'')).join(' | ')); }
