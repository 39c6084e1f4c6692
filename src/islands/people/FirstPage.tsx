import { Button } from '../shared/ui/Button.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { firstPage as say } from './words.ts';

interface FirstPageProps {
  onTry: () => Promise<void>;
}

/** What Stillwater does, in one drawing and three lines, for whoever opens it first. */
export function FirstPage({ onTry }: FirstPageProps) {
  const { write, told } = useWrite();
  return (
    <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,4fr)] items-center gap-10 py-4 max-tablet:grid-cols-1">
      <img
        className="w-full max-w-160 max-phone:max-h-80"
        src="/first-page.svg"
        alt={say.drawing}
      />
      <div>
        <ol className="mb-5 grid list-decimal gap-3 pl-6 font-serif text-[1.3rem] leading-[1.35]">
          <li>{say.measure}</li>
          <li>{say.setUp}</li>
          <li>{say.practise}</li>
        </ol>
        <p>{say.begin}</p>
        <p>
          {say.or}{' '}
          <Button
            isPlain
            onClick={() => {
              write(onTry);
            }}
          >
            {say.tryWithMadeUp}
          </Button>
        </p>
        {told}
      </div>
    </div>
  );
}
