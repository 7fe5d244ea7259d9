import { chromium } from '@playwright/test';
import { fill } from './bench/pages';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']});
const p=await (await b.newContext({baseURL:'http://localhost:4400',serviceWorkers:'block'})).newPage();
p.on('console',m=>console.log(m.text().slice(0,200)));
await p.goto('/log'); await p.getByText('34 entries').waitFor();
await fill(p,{sheets:5,log:5000,book:12});
await p.goto('/log'); await p.getByText('5000 entries').waitFor({timeout:60000}); await p.waitForTimeout(1500);
for(let k=0;k<3;k++){const t=Date.now(); await p.goto('/log'); const t1=Date.now(); await p.locator('tr[mat-row]').first().waitFor(); console.log('goto',t1-t,'rows',Date.now()-t,'t0',t); await p.waitForTimeout(1500);}
await b.close();
