import { useState } from 'react';
import { isFirmUnderHand, mayBearHand, type PropItem } from '../../core/props/propList.ts';
import { hasField, makeBlocks } from '../../core/studio/readItem.ts';
import { USUAL_STUDIO, type Studio } from '../../core/studio/studio.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { ItemForm } from './ItemForm.tsx';
import { useStudioChange } from './useStudio.ts';
import { cupboardPanel as say } from './words.ts';

/** “7.5, 15 or 23 cm high, firm under a hand” */
function describeItem(item: PropItem, unit: LengthUnit): string {
  const write = (cm: number): string => writeLength(metresFromCm(cm), unit, 1);
  const { kind, heightsCm, lengthCm, widthCm, railCm, depthCm } = item;
  return [
    ...(hasField(kind, 'heights') ? [say.faces(heightsCm.map(write).join(', '))] : []),
    ...(lengthCm === null ? [] : [say.long(write(lengthCm))]),
    ...(widthCm === undefined ? [] : [say.wide(write(widthCm))]),
    ...(railCm === undefined ? [] : [say.rail(write(railCm))]),
    ...(depthCm === undefined ? [] : [say.deep(write(depthCm))]),
    ...(mayBearHand(kind) ? [isFirmUnderHand(item) ? say.firm : say.notFirm] : []),
  ].join(', ');
}

/** Everything that the studio has; each thing is added, changed and removed in place. */
export function CupboardPanel({ studio }: { studio: Studio }) {
  const { cupboard, unit } = studio;
  const { change, told } = useStudioChange();
  const [open, setOpen] = useState<PropItem | null>(null);
  const put = (item: PropItem): void => {
    setOpen(null);
    change(
      (now) => ({
        cupboard: now.cupboard.some(({ id }) => id === item.id)
          ? now.cupboard.map((each) => (each.id === item.id ? item : each))
          : [...now.cupboard, item],
      }),
      say.saved(item.name),
    );
  };
  const form = (item: PropItem) => (
    <ItemForm
      item={item}
      unit={unit}
      onSave={put}
      onCancel={() => {
        setOpen(null);
      }}
    />
  );
  return (
    <>
      <p className="text-faint">{say.intro}</p>
      {told}
      {cupboard.length === 0 && <p>{say.empty}</p>}
      <ul className="*:border-t *:border-hair *:py-2" data-testid="cupboard">
        {cupboard.map((item) => (
          <li key={item.id}>
            <div className="flex flex-wrap items-baseline gap-x-3">
              <strong>
                {item.name} × {item.count}
              </strong>
              <span className="ml-auto flex gap-3">
                <WordButton
                  onClick={() => {
                    setOpen(item);
                  }}
                >
                  {say.change}
                  <span className="sr-only"> {item.name}</span>
                </WordButton>
                <WordButton
                  onClick={() => {
                    change(
                      (now) => ({ cupboard: now.cupboard.filter(({ id }) => id !== item.id) }),
                      say.removed(item.name),
                    );
                  }}
                >
                  {say.remove}
                  <span className="sr-only"> {item.name}</span>
                </WordButton>
              </span>
            </div>
            <p className="m-0! text-faint">{describeItem(item, unit)}</p>
            {open?.id === item.id && form(open)}
          </li>
        ))}
      </ul>
      {open !== null && !cupboard.some(({ id }) => id === open.id) && form(open)}
      <div className="my-4 flex flex-wrap gap-3">
        <Button
          onClick={() => {
            setOpen(makeBlocks(crypto.randomUUID(), '', 1));
          }}
        >
          {say.add}
        </Button>
        {cupboard !== USUAL_STUDIO.cupboard && (
          <Button
            isPlain
            onClick={() => {
              change(() => ({ cupboard: USUAL_STUDIO.cupboard }), say.usualAgain);
            }}
          >
            {say.usual}
          </Button>
        )}
      </div>
    </>
  );
}
