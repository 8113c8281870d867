// What of the page's scripts the tests of its fields run.
import '../../src/Lumbeck.Web/Client/queue/fields';
export { answered, pending, send } from '../../src/Lumbeck.Web/Client/queue/queue';
