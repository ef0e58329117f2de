import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  open: boolean;
  onOpen: (open: boolean) => void;
  title: string;
  note?: string;
  children: ReactNode;
}

export function Dialog({ open, onOpen, title, note, children }: Props) {
  return (
    <Radix.Root open={open} onOpenChange={onOpen}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/35" />
        <Radix.Content
          className="fixed left-1/2 top-[8vh] z-50 flex max-h-[84vh] w-[min(680px,94vw)] -translate-x-1/2 flex-col rounded-md border border-line bg-sheet p-5 shadow-lg"
          // While something is being written, Escape gives that up and not the dialog.
          onEscapeKeyDown={(event) => {
            if (document.activeElement instanceof HTMLElement && document.activeElement.dataset.writing)
              event.preventDefault();
          }}
          {...(note ? {} : { 'aria-describedby': undefined })}
        >
          <div className="mb-3 pr-8">
            <Radix.Title className="text-lg">{title}</Radix.Title>
            {note && <Radix.Description className="text-sm text-muted">{note}</Radix.Description>}
          </div>
          <div className="min-h-0 overflow-y-auto">{children}</div>
          {/* Last, so that the dialog opens with the focus on what it is for. */}
          <Radix.Close
            className="absolute right-4 top-4 cursor-pointer rounded-md p-1 hover:bg-plaster"
            aria-label="Close"
          >
            <X size={18} aria-hidden />
          </Radix.Close>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
