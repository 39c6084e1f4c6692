import { askToKeepData, isNearlyFull, writeBytes } from '../shared/storage.ts';
import { useStorage } from '../shared/useStorage.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { storagePanel as say } from './words.ts';

/** Whether this browser has promised to keep the data, and how much room is used. */
export function StoragePanel() {
  const { storage, lookAgain } = useStorage();
  if (storage === null) return <p className="text-faint">{say.browserDoesNotReport}</p>;
  const { isPersistent, usedBytes, roomBytes } = storage;
  return (
    <>
      <p>
        {isPersistent ? say.browserHasPromisedKeep : say.browserHasNotPromised}
        {!isPersistent && (
          <>
            {' '}
            <WordButton onClick={() => void askToKeepData().then(lookAgain)}>
              {say.askKeepData}
            </WordButton>
          </>
        )}
      </p>
      <p className={isNearlyFull(storage) ? 'font-semibold' : 'text-faint'}>
        {writeBytes(usedBytes)}
        {say.used}
        {roomBytes > 0 && say.about(writeBytes(roomBytes))}.
        {isNearlyFull(storage) && say.nearlyFullBackUp}
      </p>
    </>
  );
}
