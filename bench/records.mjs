// Records of every batch of a site as one ZIP: time, size, and what the server holds in memory meanwhile.
import fs from 'node:fs';
import { signIn } from './sign-in.mjs';

const [base, pid, ...ids] = process.argv.slice(2);
const cookie = await signIn(base);
const rss = () =>
  Number(/VmRSS:\s+(\d+)/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;
const zip = async (some) => {
  const start = performance.now();
  let [bytes, first, peak] = [0, 0, rss()];
  const timer = setInterval(() => {
    peak = Math.max(peak, rss());
  }, 100);
  const response = await fetch(`${base}/records/zip?${some.map((id) => `batch=${id}`).join('&')}`, {
    headers: { cookie },
  });
  for await (const chunk of response.body) {
    first ||= performance.now() - start;
    bytes += chunk.length;
  }
  clearInterval(timer);
  return {
    records: some.length,
    status: response.status,
    seconds: +((performance.now() - start) / 1000).toFixed(1),
    firstByteMs: Math.round(first),
    MB: +(bytes / 1e6).toFixed(1),
    peakRssMB: Math.round(peak),
  };
};
for (const n of [10, 50, ids.length]) console.log(JSON.stringify(await zip(ids.slice(0, n))));
