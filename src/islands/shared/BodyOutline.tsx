/** A plain body, the same from the front as from behind. It lies behind the names of its places. */
export function BodyOutline() {
  return (
    <svg
      className="absolute inset-0 size-full fill-sand stroke-faint stroke-[0.6]"
      viewBox="0 0 100 200"
      aria-hidden
      preserveAspectRatio="none"
    >
      <circle cx="50" cy="13" r="10" />
      <path d="M44 24 L30 32 L20 60 L16 92 L21 93 L30 62 L34 52 L34 96 L31 140 L32 184 L27 194 L42 194 L45 142 L50 108 L55 142 L58 194 L73 194 L68 184 L69 140 L66 96 L66 52 L70 62 L79 93 L84 92 L80 60 L70 32 L56 24 Z" />
    </svg>
  );
}
