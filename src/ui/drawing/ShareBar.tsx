/** How much of a whole, 0 to 1, as a bar. What it says stands beside it in words. */
export function ShareBar({ share, className = '' }: { share: number; className?: string }) {
  return (
    <svg
      viewBox="0 0 100 8"
      preserveAspectRatio="none"
      aria-hidden
      className={`block w-full h-2 ${className}`}
    >
      <rect width={100} height={8} fill="var(--field)" stroke="var(--rule)" strokeWidth={1} />
      <rect width={Math.round(share * 100)} height={8} fill="var(--accent)" />
    </svg>
  );
}
