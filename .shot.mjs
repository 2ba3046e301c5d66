import { chromium } from '@playwright/test';
const base='http://127.0.0.1:3000';
const who=process.argv[2]; const list=process.argv.slice(3);
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu','--disable-quic']});
const ctx=await b.newContext({viewport:{width:1280,height:800}});
const p=await ctx.newPage();
p.on('console',m=>{ if(m.type()==='error') console.log('console:',m.text().slice(0,300)); });
p.on('pageerror',e=>console.log('pageerror:',String(e).slice(0,400)));
await p.goto(base+'/sign-in');
await p.getByLabel('E-mail').fill(who+'@saltmarsh.example');
await p.getByLabel('Password').fill('quay-lantern-tide');
await p.keyboard.press('Enter'); await p.waitForURL(/today/);
for(const item of list){
  const [path,name,size,...restParts]=item.split('|'); const script=restParts.join('|');
  const [w,h]=(size||'1280x800').split('x').map(Number);
  await p.setViewportSize({width:w,height:h});
  let url=path;
  if(path.startsWith('@')){ // follow: @/field>linktext
    const [start,...steps]=path.slice(1).split('→');
    await p.goto(base+start); await p.waitForLoadState('networkidle').catch(()=>{});
    for(const s of steps){ const l=p.locator(s).first(); await l.click(); await p.waitForTimeout(700); await p.waitForLoadState('networkidle').catch(()=>{}); }
  } else { await p.goto(base+url); await p.waitForLoadState('networkidle').catch(()=>{}); }
  if(script){ await (new Function('p','return (async()=>{'+script+'})()'))(p); await p.waitForTimeout(500); }
  await p.screenshot({path:`/work/tmp/${name}.png`, fullPage: process.env.FULL==='1'});
  console.log(name,p.url());
}
await b.close();
