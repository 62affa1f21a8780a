import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import vm from 'node:vm';
import { build } from 'vite';
import { vitestHere } from './scripts/mutate/tests.mjs';
const ROOMS = ['material', 'proof', 'stack', 'seam', 'pieces', 'load', 'bench'];
const files = [...ROOMS.flatMap(r => readdirSync('core/src/'+r,{recursive:true}).filter(f=>f.endsWith('.test.ts')).map(f=>path.resolve('core/src',r,f)))];
// numbers: literals in top-level const statements
const consts=[];
const ts=createRequire(import.meta.url)('typescript');
function instrument(code,id){
  const rel=path.relative('.',id);
  if(!ROOMS.some(r=>rel.startsWith('core/src/'+r+'/'))||rel.endsWith('.test.ts')) return code;
  const sf=ts.createSourceFile(id,code,ts.ScriptTarget.Latest,true);
  const edits=[];
  const visit=(n,inConst)=>{
    if(ts.isNumericLiteral(n)&&inConst&&!ts.isTypeNode(n.parent)&&!ts.isLiteralTypeNode(n.parent)){
      const k=consts.length; consts.push({rel,line:sf.getLineAndCharacterOfPosition(n.getStart()).line+1,text:n.text,src:code.split('\n')[sf.getLineAndCharacterOfPosition(n.getStart()).line].trim().slice(0,110)});
      edits.push([n.getStart(),n.getEnd(),`(NUM(${k},${n.text}))`]);
      return;
    }
    if(ts.isPropertyAssignment(n)&&ts.isNumericLiteral(n.name)) { visit(n.initializer,inConst); return; }
    if(ts.isFunctionLike(n)) return;
    ts.forEachChild(n,c=>visit(c,inConst));
  };
  for(const s of sf.statements) if(ts.isVariableStatement(s)) for(const d of s.declarationList.declarations) if(d.initializer && /^[A-Z_\[]/.test(d.name.getText())) visit(d.initializer,true);
  for(const [a,b,t] of edits.sort((x,y)=>y[0]-x[0])) code=code.slice(0,a)+t+code.slice(b);
  return code;
}
const {output}=await build({configFile:false,logLevel:'error',plugins:[{name:'t',enforce:'pre',resolveId:id=>id.endsWith('all-tests')?'all-tests':null,load:id=>id==='all-tests'?files.map(f=>`import ${JSON.stringify(f)};`).join('\n'):null,
 transform(code,id){ let c=instrument(code,id); c=c.replaceAll('import.meta',`importMetaOf(${JSON.stringify(id)})`); return files.includes(id)?`beginFile(${JSON.stringify(path.relative('.',id))});\n${c}`:c; }}],
 build:{ssr:'all-tests',write:false,minify:false,rollupOptions:{treeshake:false,output:{format:'cjs',codeSplitting:false}}}});
const script=new vm.Script(`(function (require, beginFile, importMetaOf, NUM) {${output[0].code}\n})`,{filename:'tests.cjs'});
const req=createRequire(path.resolve('core/package.json'));
function load(NUM){ const {tests,api,beginFile}=vitestHere(); script.runInThisContext()(n=>n==='vitest'?api:req(n),beginFile,f=>({url:pathToFileURL(f).href,resolve:n=>pathToFileURL(createRequire(f).resolve(n)).href}),NUM); return tests; }
console.log(consts.length,'numbers');
const base=load((k,v)=>v); const times=new Map();
for(const t of base){const b=performance.now(); try{await t.run();}catch(e){console.log('BASE FAIL',t.id,String(e).slice(0,200));} times.set(t.id,performance.now()-b);}
let kept=0;
for(let k=0;k<consts.length;k++){
  const c=consts[k]; let killed=null;
  for (const change of [v=>v===0?1:v*3, v=>v===0?-1:v/3]) {
   try{
    const tests=load((i,v)=>i===k?change(v):v);
    const order=tests.toSorted((a,b)=>(times.get(a.id)??0)-(times.get(b.id)??0));
    const until=performance.now()+12000; killed=null;
    for(const t of order){ if(performance.now()>until)break; try{await t.run();}catch(e){killed=t.id;break;} }
   }catch(e){killed='load';}
   if(killed===null){ kept++; console.log(`KEPT ${change(3)>3?'x3':'/3'} ${c.rel}:${c.line} ${c.text} | ${c.src}`); }
  }
}
console.log('kept',kept,'of',2*consts.length);
