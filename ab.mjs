import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './tests/chromiumFlags.mjs';
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:CHROMIUM_FLAGS});
const urls=(process.argv[2]??'http://127.0.0.1:4500,http://127.0.0.1:4400').split(','); const N=+(process.argv[3]??9);
const places=(process.argv[4]??'/field?|/round?step=harvest|/round?step=over|/field?lens=campaigns|/setup?').split('|');
const med=a=>[...a].sort((x,y)=>x-y)[a.length>>1];
const acc={}; for(const u of urls){const accs=await (await fetch(u+'/api/accounts')).json(); acc[u]=(accs.find(x=>x.name.startsWith('Tarn'))??accs[0]).id}
const ctxs={}; for(const u of urls){ ctxs[u]=await b.newContext({viewport:{width:1280,height:800}}); await ctxs[u].addInitScript(()=>localStorage.setItem('mowing-tour-at','-1')); }
for(const p of places){ const ts={}; const cpu={}; for(const u of urls){ts[u]=[];cpu[u]=[]}
 for(let i=0;i<N+2;i++) for(const u of urls){ const page=await ctxs[u].newPage(); const s=await ctxs[u].newCDPSession(page); await s.send('Performance.enable',{timeDomain:'threadTicks'}); const t=Date.now(); await page.goto(`${u}${p}&account=${acc[u]}`,{waitUntil:'commit'}); await page.locator('main .table-row, main table tbody tr, .setup-row, main h2').first().waitFor(); const d=Date.now()-t; await page.waitForTimeout(700); const m=Object.fromEntries((await s.send('Performance.getMetrics')).metrics.map(x=>[x.name,x.value])); if(i>1){ts[u].push(d);cpu[u].push(m.TaskDuration*1000)} await page.close(); }
 console.log(p.padEnd(26), urls.map(u=>'rows '+med(ts[u])+' (min '+Math.min(...ts[u])+') task '+med(cpu[u]).toFixed(0)).join('   |   ')); }
await b.close();
