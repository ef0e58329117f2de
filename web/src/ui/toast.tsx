import { Toast } from 'radix-ui';
import { create } from 'zustand';

interface Message {
  id: number;
  text: string;
  tone: 'plain' | 'wrong';
  action?: { name: string; run: () => void };
}

const useMessages = create<{ messages: Message[] }>(() => ({ messages: [] }));
let count = 0;

/** Says something in passing, perhaps with one thing to do about it. */
export function say(text: string, action?: Message['action']): void {
  useMessages.setState(({ messages }) => ({ messages: [...messages, { id: ++count, text, tone: 'plain', action }] }));
}

/** Says what went wrong; stays until it is closed. */
export function sayWrong(text: string): void {
  useMessages.setState(({ messages }) => ({ messages: [...messages, { id: ++count, text, tone: 'wrong' }] }));
}

const drop = (id: number) =>
  useMessages.setState(({ messages }) => ({ messages: messages.filter((message) => message.id !== id) }));

export function Messages() {
  const messages = useMessages((state) => state.messages);
  return (
    <Toast.Provider swipeDirection="right" label="Message">
      {messages.map(({ id, text, tone, action }) => (
        <Toast.Root
          key={id}
          duration={tone === 'wrong' ? 1e7 : 8000}
          onOpenChange={(open) => !open && drop(id)}
          className={`flex items-start gap-4 rounded-md border bg-sheet px-4 py-3 text-sm shadow-lg ${tone === 'wrong' ? 'border-plum' : 'border-line'}`}
        >
          <Toast.Description className="max-w-md whitespace-pre-line">{text}</Toast.Description>
          {action && (
            <Toast.Action
              altText={action.name}
              onClick={action.run}
              className="cursor-pointer font-semibold text-clay underline"
            >
              {action.name}
            </Toast.Action>
          )}
          <Toast.Close className="cursor-pointer text-muted underline">Close</Toast.Close>
        </Toast.Root>
      ))}
      <Toast.Viewport className="fixed bottom-4 right-4 z-50 flex max-w-[90vw] flex-col gap-2" />
    </Toast.Provider>
  );
}
