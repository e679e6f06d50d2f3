/** What one sees of the words being written: what is marked, what lives, what its font lacks, and the caret. */
import type { writtenOn } from '@/core/piece/outline/written';

interface Range {
  start: number;
  end: number;
}
interface Props {
  written: ReturnType<typeof writtenOn>;
  /** What is marked, letters; the caret stands at its second end. */
  range: readonly [number, number];
  fields: readonly Range[];
  lacking: readonly Range[];
  zoom: number;
}

export function WritingMarks({ written, range: [from, to], fields, lacking, zoom }: Props) {
  const caret = written.caretAt(to);
  return (
    <>
      {from !== to &&
        written
          .stretch(from, to)
          .map(({ frame, box }, i) => (
            <rect key={i} {...box} transform={`matrix(${frame.join(' ')})`} fill="#2f6f68" opacity={0.3} />
          ))}
      {fields.flatMap(({ start, end }) =>
        written
          .stretch(start, end)
          .map(({ frame, box }, i) => (
            <path
              key={`lives ${start} ${i}`}
              data-living
              transform={`matrix(${frame.join(' ')})`}
              d={`M${box.x} ${box.y + box.height * 0.95}h${box.width}`}
              stroke="#2f6f68"
              strokeWidth={1.4 / zoom}
            />
          )),
      )}
      {lacking.flatMap(({ start, end }) =>
        written
          .stretch(start, end)
          .map(({ frame, box }, i) => (
            <path
              key={`${start} ${i}`}
              transform={`matrix(${frame.join(' ')})`}
              d={`M${box.x} ${box.y + box.height * 0.92}h${box.width}`}
              fill="none"
              stroke="#b26a00"
              strokeWidth={2 / zoom}
              strokeDasharray={`0 ${3.4 / zoom}`}
              strokeLinecap="round"
            />
          )),
      )}
      <rect
        className="caret"
        transform={`matrix(${caret.frame.join(' ')})`}
        x={caret.box.x - 0.75 / zoom}
        y={caret.box.y + caret.box.height * 0.08}
        width={1.8 / zoom}
        height={caret.box.height * 0.84}
        fill="#9e2b45"
      >
        <animate attributeName="opacity" values="1;1;0;0" dur="1.1s" repeatCount="indefinite" />
      </rect>
    </>
  );
}
