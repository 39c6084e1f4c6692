import { startTransition, useEffect, useState } from 'react';

/** So long a hand rests before what is beside the drawing follows it, ms. */
const REST_MS = 120;

/**
 * A value that follows another once that rests.
 *
 * @param value has to be the same object while nothing changes
 * @param isMoving whether more changes are likely; otherwise it follows as soon as there is time
 */
export function useRested<Value>(value: Value, isMoving: boolean): Value {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(
      () => {
        startTransition(() => {
          setRested(value);
        });
      },
      isMoving ? REST_MS : 0,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [value, isMoving]);
  return rested;
}
