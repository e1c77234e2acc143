// One server and one browser for the plan, its brief and the water it is on.
import './planner.part';
import './water.part';
import './journey.part';
