import { dryingForecast, dryingPrior, fitDrying, dryingCurve } from './core/rack/drying/fit'
import { randomSource } from './core/statistics/randomSource'
const prior=dryingPrior(0.27,110,0.55); const r=randomSource(3)
for(const T of [1,3,6,10]){const wi:any[]=[];for(let t=0;t<T;t++)for(let b=0;b<4;b++)wi.push({day:1+t*6,bar:b,grams:(108+b)*(1-0.17*(1-2**-((1+t*6)/10)))+r.normal()*0.2})
 for(let k=0;k<30;k++){fitDrying(prior,wi,randomSource(k))}
 const c0=process.cpuUsage();const t0=performance.now();let a=0,b=0,c=0
 for(let k=0;k<30;k++){let s=performance.now();const d=fitDrying(prior,wi,randomSource(k));a+=performance.now()-s;s=performance.now();dryingForecast(d,randomSource(k));b+=performance.now()-s;s=performance.now();dryingCurve(d,200);c+=performance.now()-s}
 const u=process.cpuUsage(c0);console.log(T,'fit',(a/30).toFixed(1),'forecast',(b/30).toFixed(1),'curve',(c/30).toFixed(1),'cpu',((u.user+u.system)/30000).toFixed(1))}
