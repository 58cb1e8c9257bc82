import type { ConditionsPage } from '#contract/conditions.ts';
import { PlainList } from '#web/ui/PlainList.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Beside } from '#web/ui/Beside.tsx';

/** What is in force, in a few words, where the next action is chosen. */
export function ConditionsNow({ page }: { readonly page: ConditionsPage }) {
  const standing = page.standing.filter(({ inForce }) => inForce);
  if (standing.length === 0) return null;
  return (
    <Space below={1.5}>
      <PlainList gap={0.5}>
        {standing.map(({ key, name, aloneName, effects, calls }) => (
          <Beside key={key} strong>
            <strong>{aloneName === null ? name : `${name}: ${aloneName.toLowerCase()}`}.</strong>{' '}
            {effects[0]?.text ?? calls.map((call) => `${call.name}, ${call.words}.`)[0]}
          </Beside>
        ))}
      </PlainList>
    </Space>
  );
}
