export default orderRoutes.get()
