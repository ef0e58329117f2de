import { createApp } from '/work/main/server/src/app.ts';
import { listenNear } from '/work/main/server/src/listen.ts';
const { port } = await listenNear(createApp('/work/main/web/dist'), '127.0.0.1', 4970);
console.log(port);
