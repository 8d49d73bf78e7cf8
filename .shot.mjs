import puppeteer from 'puppeteer-core';
const [,, url, out, w='1280', h='800', full='', cookie=''] = process.argv;
const b = await puppeteer.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu','--hide-scrollbars']});
const p = await b.newPage(); await p.setViewport({width:+w,height:+h,isMobile:+w<600,hasTouch:+w<600});
if (cookie) for (const c of cookie.split(';')) { const [name,value]=c.split('='); await b.setCookie({name,value,domain:'127.0.0.1'}); }
p.on('pageerror',e=>console.log('ERR',e.message.slice(0,300)));
p.on('console',m=>{ if(m.type()==='error') console.log('CON',m.text().slice(0,300)); });
const r = await p.goto(url,{waitUntil:'networkidle0',timeout:60000}); console.log(r.status());
await p.screenshot({path:out,fullPage:!!full}); await b.close();
