import type { ReactNode, RefObject } from 'react';
import { Dialog, Popover as AriaPopover } from 'react-aria-components';

interface PopoverProps {
  label: string;
  /** What it hangs under, and what the focus goes back to. */
  triggerRef: RefObject<HTMLElement | null>;
  onClose: () => void;
  children: ReactNode;
}

/** A small panel under a button, closed by Escape or a press beside it. Loaded when it is opened. */
export const Popover = ({ label, triggerRef, onClose, children }: PopoverProps) => (
  <AriaPopover
    isOpen
    triggerRef={triggerRef}
    placement="bottom end"
    className="w-80 max-w-[calc(100vw-1.5rem)] rounded border bg-sheet p-4"
    onOpenChange={(isOpen) => {
      if (!isOpen) onClose();
    }}
  >
    <Dialog aria-label={label} className="outline-none">
      {children}
    </Dialog>
  </AriaPopover>
);
