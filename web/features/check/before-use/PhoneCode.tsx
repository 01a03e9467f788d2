import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { writeHalf } from '@core/records/files';
import { halfOf, type CheckRecord } from '@core/records/log';
import { usePlace } from '../../../app/place';
import { ShareCode } from '../../../share/ShareCode';

interface PhoneCodeProps {
  readonly record: CheckRecord;
  /** Who answers on the other phone. */
  readonly other: string;
  /** The other phone has not heard of the check. */
  readonly first: boolean;
}

/** A check by two phones: the code that the other phone reads, and where to put the link that it sends. */
export function PhoneCode({ record, other, first }: PhoneCodeProps) {
  const written = useMemo(() => writeHalf(halfOf(record, first)), [record, first]);
  return (
    <>
      <ShareCode written={written} name={first ? `the check, for ${other}` : `your half, for ${other}`} />
      {!first && <OtherLink other={other} />}
    </>
  );
}

/** Where no camera takes the code: the link that the other phone sent. */
function OtherLink({ other }: { other: string }) {
  const { name: place } = usePlace();
  const navigate = useNavigate();
  const [link, setLink] = useState('');
  const code = link.trim().split('#')[1] ?? '';
  return (
    <form
      className="mt-4 grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (code !== '') void navigate(`/${place}/open#${code}`);
      }}
    >
      <label className="text-sm font-semibold">
        Or paste the link that {other} sent
        <input className="field num mt-1" value={link} onChange={(event) => setLink(event.target.value)} />
      </label>
      {link.trim() !== '' && code === '' && (
        <p role="alert" className="text-stop">
          No code in it: a link of a half has a # and letters behind it.
        </p>
      )}
      <button type="submit" className="btn" disabled={code === ''}>
        Read it
      </button>
    </form>
  );
}
