/** A yarn card: a card with a few turns of thread. */
export function Mark() {
  return (
    <svg
      width="22"
      height="26"
      viewBox="0 0 24 28"
      aria-hidden="true"
      fill="none"
      strokeLinejoin="round"
    >
      <path d="M5 2h14v24H5z" stroke="var(--ink)" strokeWidth="2" />
      <path
        d="M3 9h18M3 13h18M3 17h18"
        stroke="var(--madder)"
        strokeWidth="2"
        strokeLinecap="round"
      />
    </svg>
  );
}
