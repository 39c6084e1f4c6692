import { askToKeepData, isNearlyFull, writeBytes } from '../shared/storage.ts';
import { useStorage } from '../shared/useStorage.ts';
import { WordButton } from '../shared/ui/Button.tsx';

/** Whether this browser has promised to keep the data, and how much room is used. */
export function StoragePanel() {
  const { storage, lookAgain } = useStorage();
  if (storage === null)
    return <p className="text-faint">This browser says nothing of its storage.</p>;
  const { isPersistent, usedBytes, roomBytes } = storage;
  return (
    <>
      <p>
        {isPersistent
          ? 'This browser has promised to keep the data until you delete it.'
          : 'This browser has not promised to keep the data: it may clear it when its room runs short. Back up often.'}
        {!isPersistent && (
          <>
            {' '}
            <WordButton onClick={() => void askToKeepData().then(lookAgain)}>Ask it to</WordButton>
          </>
        )}
      </p>
      <p className={isNearlyFull(storage) ? 'font-semibold' : 'text-faint'}>
        {writeBytes(usedBytes)} used
        {roomBytes > 0 && ` of about ${writeBytes(roomBytes)}`}.
        {isNearlyFull(storage) &&
          ' It is nearly full: back up, then free some space on this device or delete pictures.'}
      </p>
    </>
  );
}
