import { Wall } from './scenes/Wall';
import { useRoute } from './ui/route';
import { WorkScreen } from './screen/WorkScreen';

export function App() {
    const path = useRoute((state) => state.path);
    const scene = /^\/scenes\/([0-9a-z]{26})$/.exec(path)?.[1];
    return scene ? <WorkScreen key={scene} sceneId={scene} /> : <Wall />;
}
