/** Tells the other windows of this browser that a job has changed. */
export class Broadcast {
    private channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('oldpart-fit');

    constructor(heard: (job: string) => void) {
        if (this.channel) {
            this.channel.onmessage = (event: MessageEvent<string>) => heard(event.data);
        }
    }

    tell(job: string): void {
        this.channel?.postMessage(job);
    }
}
