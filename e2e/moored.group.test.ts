// One server and one browser for what rigs, ties and locks.
import './lines.part';
import './others.part';
import './lock.part';
