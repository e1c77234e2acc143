// One server and one browser for what is driven by hand.
import './rehearse.part';
import './helm.part';
