import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="p-8 flex flex-col gap-4 max-w-[560px]">
      <h1>Not here</h1>
      <p>
        There is no such page or heap on this site. It may belong to another site, or the address
        was cut short.
      </p>
      <p>
        <Link href="/" className="btn key">
          Go to the yard
        </Link>
      </p>
    </main>
  );
}
