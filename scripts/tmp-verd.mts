import { SETUPS } from '../core/samples/index.ts';
import { assess } from '../core/assess/index.ts';
for (const [n, s] of Object.entries(SETUPS)) {
  const a = assess(s);
  console.log(
    n,
    a.verdict,
    a.findings
      .filter((f) => f.severity !== 'clear')
      .map((f) => f.code + ':' + f.severity[0])
      .join(' '),
  );
}
