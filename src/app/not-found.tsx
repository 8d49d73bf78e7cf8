import { say } from '@/messages/say';
import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="p-8 flex flex-col gap-4 max-w-[560px]">
      <h1>{say('app.pageNotFound')}</h1>
      <p>{say('app.thereNoSuchPageOr')}</p>
      <p>
        <Link href="/" className="btn key">
          {say('app.goToBatches')}
        </Link>
      </p>
    </main>
  );
}
