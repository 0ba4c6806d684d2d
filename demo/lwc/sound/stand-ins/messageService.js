/** A small stand-in for the platform’s channels of messages: the same calls, within one page. */
export const APPLICATION_SCOPE = Symbol('application');

const subscribers = new Map();

/** A wire adapter that gives the context of messages to a component. */
export class MessageContext {
  constructor(callback) {
    callback({});
  }

  connect() {}

  update() {}

  disconnect() {}
}

export function publish(context, channel, message) {
  for (const hear of [...(subscribers.get(channel) ?? [])]) hear(message);
}

export function subscribe(context, channel, hear) {
  subscribers.set(channel, [...(subscribers.get(channel) ?? []), hear]);
  return { channel, hear };
}

export function unsubscribe({ channel, hear }) {
  subscribers.set(
    channel,
    (subscribers.get(channel) ?? []).filter((one) => one !== hear),
  );
}
