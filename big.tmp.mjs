import { chromium } from '@playwright/test';
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']});
const c=await b.newContext({viewport:{width:1280,height:800}}); const p = await c.newPage(); const O='http://127.0.0.1:4321';
p.on('console',m=>m.type()==='error'&&console.log('console',m.text()));
await p.goto(`${O}/sign-in`,{waitUntil:'networkidle'});
await p.getByLabel('E-mail').fill('practitioner@harbour.example');
await p.getByLabel('Password').fill('low-tide-lantern');
await p.getByRole('button', { name: 'Sign in' }).click();
await p.waitForURL(/today/);
const cdp=await c.newCDPSession(p); await cdp.send('Network.enable'); let bytes=0, n=0; cdp.on('Network.loadingFinished',e=>{bytes+=e.encodedDataLength;n++;});
for (const round of [1,2,3]) {
 bytes=0;n=0;
 await p.addInitScript(()=>{window.longest=0;new PerformanceObserver(l=>{for(const e of l.getEntries())window.longest=Math.max(window.longest,e.duration)}).observe({type:'longtask',buffered:true})});
 const t=performance.now(); await p.goto(O+'/shoes',{waitUntil:'commit'}); const t1=performance.now(); await p.getByRole('button',{name:/Bilge/}).first().waitFor(); const t2=performance.now(); await p.locator('astro-island:not([ssr])').first().waitFor({state:'attached'}); const t3=performance.now();
 await p.getByLabel('Maker, name, version').fill('cairn'); await p.waitForFunction(()=>/^\d+ of/.test(document.querySelector('[role=status]').textContent)); const t4=performance.now(); await p.waitForTimeout(1500);
 console.log('commit',(t1-t).toFixed(0),'first rows',(t2-t).toFixed(0),'island',(t3-t).toFixed(0),'whole+filtered',(t4-t).toFixed(0),'wire kB',(bytes/1000).toFixed(0),'requests',n,'longest task',await p.evaluate(()=>window.longest), await p.getByRole('status').first().innerText());
 await p.evaluate(()=>{window.longest=0}); await p.getByLabel('Maker, name, version').fill(''); await p.waitForTimeout(600); await p.getByRole('button',{name:/^Mass/}).click(); await p.waitForTimeout(600); console.log('  sort longest', await p.evaluate(()=>window.longest));
}
await b.close();
