// One server and one browser for what rigs, ties and locks.
import './lines.part';
import './lock.part';
