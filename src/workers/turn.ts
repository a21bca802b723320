/** A turn of the event loop. By a message: a browser holds back timers that follow each other, four milliseconds each. */
export function turn(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}
