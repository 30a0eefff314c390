export default makingDayRoutes.list()
