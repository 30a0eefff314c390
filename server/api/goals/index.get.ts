export default goalRoutes.list()
