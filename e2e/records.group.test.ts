// One server and one browser for boats, places and what comes as files.
import './boats.part';
import './places.part';
import './library.part';
import './day.part';
