import { X } from 'lucide-react';
import { useRef } from 'react';
import { useToast, useToastRegion } from 'react-aria';
import { useToastQueue, type QueuedToast, type ToastState } from 'react-stately';
import { WordButton } from './Button.tsx';
import { toasts } from './toasts.ts';
import { toastRegion as say } from '../words.ts';

type Content = (typeof toasts.visibleToasts)[number]['content'];

/** What was just done, at the foot of the page, for as long as it may be taken back. */
export function ToastRegion() {
  const state = useToastQueue(toasts);
  return state.visibleToasts.length === 0 ? null : <Region state={state} />;
}

function Region({ state }: { state: ToastState<Content> }) {
  const region = useRef<HTMLDivElement>(null);
  const { regionProps } = useToastRegion({ 'aria-label': say.justDone }, state, region);
  return (
    <div
      {...regionProps}
      ref={region}
      className="fixed inset-x-4 bottom-4 z-20 mx-auto flex max-w-140 flex-col gap-2 print:hidden"
    >
      {state.visibleToasts.map((toast) => (
        <Toast key={toast.key} toast={toast} state={state} />
      ))}
    </div>
  );
}

function Toast({ toast, state }: { toast: QueuedToast<Content>; state: ToastState<Content> }) {
  const element = useRef<HTMLDivElement>(null);
  const { toastProps, contentProps, titleProps, closeButtonProps } = useToast(
    { toast },
    state,
    element,
  );
  const { words, action } = toast.content;
  const close = (): void => {
    state.close(toast.key);
  };
  return (
    <div
      {...toastProps}
      ref={element}
      className="flex items-center gap-4 rounded-md bg-ink py-1 pr-2 pl-4 text-sheet"
    >
      <div {...contentProps} className="mr-auto">
        <span {...titleProps}>{words}</span>
      </div>
      {action !== undefined && (
        <WordButton
          onClick={() => {
            close();
            action.run();
          }}
        >
          {action.words}
        </WordButton>
      )}
      <button
        type="button"
        aria-label={closeButtonProps['aria-label']}
        className="grid size-11 cursor-pointer place-items-center"
        onClick={close}
      >
        <X aria-hidden size={18} />
      </button>
    </div>
  );
}
