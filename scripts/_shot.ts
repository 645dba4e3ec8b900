import { chromium } from '@playwright/test';
import { CHROMIUM } from './chromium';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
const [,, size, path, out, ...steps] = process.argv as string[];
(async()=>{
const { server, port } = await listenOnFreePort(createApp('/work/main/dist'), 0, console.log);
const b = await chromium.launch(CHROMIUM);
const p = await b.newPage({viewport: size==='wide'?{width:1280,height:800}:{width:390,height:844}, hasTouch: size!=='wide', isMobile: size!=='wide', locale:'en-GB'});
p.on('console',m=>{if(m.type()==='error')console.log('ERR',m.text())});p.on('pageerror',e=>console.log('PAGEERR',e));
await p.goto(`http://127.0.0.1:${port}${path}`); await p.waitForTimeout(2500);
let i=0;
for (const s of steps){ const [verb,...r]=s.split('=');const arg=r.join('=');
 if(verb==='click') await p.getByRole('button',{name:arg}).first().click();
 if(verb==='text') await p.getByText(arg).first().click();
 if(verb==='into') await p.getByRole('region',{name:arg}).first().scrollIntoViewIfNeeded();
 if(verb==='see') await p.getByText(arg).first().scrollIntoViewIfNeeded();
 if(verb==='top') await p.getByText(arg).first().evaluate(e=>e.scrollIntoView({block:'start'}));
 if(verb==='tapat'){const [x,y]=arg.split(',').map(Number);await p.mouse.click(x!,y!);}
 if(verb==='radio') await p.getByRole('radio',{name:arg}).first().click();
 if(verb==='wait') await p.waitForTimeout(Number(arg));
 if(verb==='key') await p.keyboard.press(arg);
 if(verb==='fill'){const [l,v]=arg.split('|');await p.getByLabel(l!).first().fill(v!);}
 if(verb==='shot'){await p.screenshot({path:arg});}
 await p.waitForTimeout(400);
}
await p.screenshot({path:out});
await b.close(); server.close();
})();
