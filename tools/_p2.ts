import { BOOK } from '#core/tables/book.ts';
import { planOf } from '#core/testing/any-run.ts';
for (const [kinds,min] of [[['bassoon'],null],[['bassoon','bassoon'],null],[['bassoon','alto-saxophone'],null],[['flugelhorn','flute','alto-saxophone'],16]] as any){
const a=performance.now();const p=planOf(BOOK,{instruments:kinds.map((kind:any)=>({kind})),due:['all'],minutesAtHand:min} as any);
console.log(kinds.join('+'),Math.round(performance.now()-a),p.steps.length,p.activeMinutes,p.elapsedMinutes,JSON.stringify(p.because.filter(b=>['order','waits-overlapped','time-at-hand'].includes(b.rule))));
for(const s of p.steps) if(s.step.wait) console.log('   ',s.key,s.startsAtMinute,s.activeMinutes,s.step.wait.minutes.value,s.step.wait.until);
}
