import { writeFileSync } from 'node:fs';
import { CONSTRUCTIONS, thickBoards } from './tests/fixtures/constructions';
import { boards, demoJobs, inputs, jobInputs, places, shop } from './tests/fixtures/demo';
import { deriveJob, planLayout } from './src/core';
import { composeSheet } from './src/server/paper/sheet';
import { composeBoardSheets } from './src/server/paper/boards';
import { printDocument } from './src/server/paper/print-document';
const which = process.argv[2] ?? '';
const todo = [...demoJobs().map((document)=>({name:document.name,given:{document,shop,places,boards,layouts:[] as never[]}})), ...CONSTRUCTIONS.map((c)=>({name:c.name,given:jobInputs(inputs(c.document,{boards:thickBoards}))}))].filter(({name})=>name.includes(which));
console.log(todo.length);
import { fullSizeDrawings } from './src/core';
import { composeFullSize } from './src/server/paper/full-size';
for (const {name,given} of todo) {
  const t0=performance.now();
  let derived = deriveJob(given as never); if (!('pieces' in derived)) throw new Error('x');
  const layouts = derived.woods.map((w)=>planLayout(w.demand,w.boards,{...w.layoutOptions,effort:100}));
  derived = deriveJob({...given,layouts} as never); if (!('pieces' in derived)) throw new Error('x');
  const t1=performance.now();
  for (const [paper,style] of [['a4',{system:'metric'}],['letter',{system:'inch',fraction:16}]] as const) {
    const input={document:given.document,derived,boards:given.boards,style,paper} as never;
    writeFileSync(`/tmp/pdf/${name.slice(0,30).replace(/\W+/g,'-')}-${paper}.pdf`, await printDocument(composeSheet(input)));
    writeFileSync(`/tmp/pdf/${name.slice(0,30).replace(/\W+/g,'-')}-${paper}-full.pdf`, await printDocument(composeFullSize(derived.pieces.slice(0,1).flatMap((own)=>fullSizeDrawings(own.piece,style,own.panels)),paper,name)));
    writeFileSync(`/tmp/pdf/${name.slice(0,30).replace(/\W+/g,'-')}-${paper}-boards.pdf`, await printDocument(composeBoardSheets({name,woods:derived.woods,boards:given.boards,style,paper} as never)));
  }
  console.log(name, Math.round(t1-t0), Math.round(performance.now()-t1));
}
