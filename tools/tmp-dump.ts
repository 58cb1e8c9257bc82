import { BOOK } from '#core/tables/book.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { casesOf } from '#core/testing/cases.ts';
import { practiceOf } from '#core/testing/any-run.ts';
const seen = new Map<string, string[]>();
for (const kind of KIND_IDS) for (const c of casesOf(BOOK, kind)) {
  const p = practiceOf(BOOK, c);
  for (const s of p.steps) {
    const d = s.does.map((d)=> d.do+' '+('through' in d ? d.through.join('>') : d.thing)+('with' in d ? '+'+d.with : '')+('bath' in d ? '@'+d.bath:'')).join(', ');
    const key = `${s.id} [${d}]${s.method?` {${s.method.id}=${s.method.choices}}`:''}\n  ${s.heading} | ${s.how ?? ''}${s.look?` ?${s.look.question} ${s.look.answers.map(a=>a.words).join('/')}`:''}${s.onlyIf?` ONLYIF ${s.onlyIf}`:''}${s.why?`\n  W ${s.why}`:''}${s.harm?`\n  H ${s.harm}`:''}${s.cautions?`\n  ! ${s.cautions.join(' ! ')}`:''}${s.supplies?`\n  S ${s.supplies.join(', ')}`:''}`;
    const k = seen.get(key) ?? []; if(!k.includes(kind)) k.push(kind); seen.set(key,k);
  }
}
for (const [k,v] of [...seen].sort()) console.log(k + '\n  @' + (v.length>6? v.length+' kinds' : v.join(',')));
