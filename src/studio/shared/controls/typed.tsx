import { typeInWords, type ValueType } from '../../../core/values';

interface Mark {
  readonly colour: string;
  /** SVG dash pattern of the thread; the type is never told by colour alone. */
  readonly dash: string | undefined;
  readonly isDouble?: boolean;
}

const marks: Readonly<Record<ValueType['type'], Mark>> = {
  text: { colour: 'var(--ink)', dash: undefined },
  number: { colour: 'var(--woad)', dash: '6 4' },
  integer: { colour: 'var(--woad)', dash: '6 4' },
  boolean: { colour: 'var(--madder)', dash: '2 3' },
  date: { colour: 'var(--weld)', dash: '8 3 2 3' },
  time: { colour: 'var(--weld)', dash: '8 3 2 3' },
  datetime: { colour: 'var(--weld)', dash: '8 3 2 3' },
  duration: { colour: 'var(--weld)', dash: '4 2 1 2' },
  colour: { colour: 'var(--walnut)', dash: '3 2' },
  image: { colour: 'var(--walnut)', dash: '7 2' },
  link: { colour: 'var(--walnut)', dash: '1 2 5 2' },
  record: { colour: 'var(--heather)', dash: undefined, isDouble: true },
  list: { colour: 'var(--heather)', dash: '10 3', isDouble: true },
  unknown: { colour: 'var(--ash)', dash: '1 4' },
};

export const markOf = (type: ValueType): Mark => marks[type.type];

/** A short stretch of thread in the type's colour and pattern. */
export function TypeMark({ type }: { readonly type: ValueType }) {
  const { colour, dash, isDouble } = markOf(type);
  const lines = isDouble ? [4, 8] : [6];
  return (
    <svg
      width="18"
      height="12"
      viewBox="0 0 18 12"
      className="shrink-0"
      role="img"
      aria-label={typeInWords(type)}
    >
      {lines.map((y) => (
        <path
          key={y}
          d={`M1 ${y}H17`}
          stroke={colour}
          strokeWidth={isDouble ? 1.2 : 2}
          strokeDasharray={dash}
        />
      ))}
    </svg>
  );
}
