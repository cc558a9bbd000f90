import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './tests/chromiumFlags.mjs';
import fs from 'node:fs';
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell',args:CHROMIUM_FLAGS});
const url='http://127.0.0.1:4400';
const accs=await (await fetch(url+'/api/accounts')).json(); const a=accs.find(x=>x.name.startsWith('Tarn')).id;
const ctx=await b.newContext({viewport:{width:1280,height:800}}); await ctx.addInitScript(()=>localStorage.setItem('mowing-tour-at','-1'));
const go=async(p)=>{await p.goto(`${url}${process.argv[2]??'/round'}?account=${a}${process.argv[3]??'&step=harvest'}`); await p.locator('main .table-row').first().waitFor();};
for(let i=0;i<3;i++){const p=await ctx.newPage(); await go(p); await p.waitForTimeout(2000); await p.close();}
for(let i=0;i<5;i++){
const page=await ctx.newPage(); await page.goto('about:blank'); const s=await ctx.newCDPSession(page); await s.send('Profiler.enable'); await s.send('Profiler.setSamplingInterval',{interval:400}); await s.send('Profiler.start');
await go(page); 
const {profile}=await s.send('Profiler.stop'); fs.writeFileSync(`/tmp/page${i}.cpuprofile`,JSON.stringify(profile)); await page.close();}
await b.close();
