import Link from 'next/link';

/** A name in a list that leads to what it names, where that has a page. */
export const LinkedName = ({ href, name }: { href: string | null | undefined; name: string }) =>
  href ? (
    <Link prefetch={false} href={href} className="link pointer-coarse:py-2.5 inline-block">
      {name}
    </Link>
  ) : (
    name
  );
